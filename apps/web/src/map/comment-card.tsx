import { sentenceOf } from '@ichnograph/core';
import type { Legend, TopicMap } from '@ichnograph/core';
import type { CommentRow } from '@ichnograph/contract';
import type { ReactNode } from 'react';

/** What a comment speaks of, in words. */
export function subjectOf(
  map: TopicMap,
  legend: Legend,
  { anchor, target }: Pick<CommentRow, 'anchor' | 'target'>,
): string {
  if (anchor === 'map') return 'on the whole map';
  if (anchor === 'topic') return `on “${map.topics.find(({ id }) => id === target)?.text ?? 'what is gone'}”`;
  const link = map.links.find(({ id }) => id === target);
  const [from, to] = [link?.from, link?.to].map((end) => map.topics.find(({ id }) => id === end));
  return link && from && to ? `on “${sentenceOf(link, from, to, legend).replace(/\.$/, '')}”` : 'on what is gone';
}

export function CommentCard({
  comment,
  map,
  legend,
  onGo,
  children,
}: {
  comment: CommentRow;
  map: TopicMap;
  legend: Legend;
  onGo?: () => void;
  children?: ReactNode;
}) {
  return (
    <article className="card border-l-[3px] border-l-indigo px-2.5 py-1.5">
      {comment.anchor === 'map' || !onGo ? (
        <p className="words text-sm text-quiet">{subjectOf(map, legend, comment)}</p>
      ) : (
        <button type="button" className="words text-left text-sm text-quiet hover:underline" onClick={onGo}>
          {subjectOf(map, legend, comment)}
        </button>
      )}
      <p className="words whitespace-pre-wrap">{comment.text}</p>
      {children}
    </article>
  );
}
