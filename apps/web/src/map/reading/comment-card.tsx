import { sentenceOf } from '@ichnograph/core';
import type { Legend, TopicMap } from '@ichnograph/core';
import { spotTarget } from '@ichnograph/contract';
import type { CommentRow, NewComment } from '@ichnograph/contract';
import { X } from 'lucide-react';
import { useId } from 'react';
import type { ReactNode } from 'react';
import { focusOn } from '../../common/focus-on';

/** What a comment speaks of, in words. */
export function subjectOf(
  map: TopicMap,
  legend: Legend,
  { anchor, target }: Pick<CommentRow, 'anchor' | 'target'>,
): string {
  if (anchor === 'map') return 'on the whole map';
  if (anchor === 'result') return 'on a result';
  if (anchor === 'spot') return 'on this spot';
  if (anchor === 'region') return `on the region “${map.regions.find(({ id }) => id === target)?.title ?? ''}”`;
  if (anchor === 'topic') return `on “${map.topics.find(({ id }) => id === target)?.text ?? 'what is gone'}”`;
  const link = map.links.find(({ id }) => id === target);
  const [from, to] = [link?.from, link?.to].map((end) => map.topics.find(({ id }) => id === end));
  if (!link || !from || !to) return 'on what is gone';
  if (anchor === 'link') return `on the link from “${from.text}” to “${to.text}”`;
  return `on “${sentenceOf(link, from, to, legend).replace(/\.$/, '')}”`;
}

/**
 * What a comment would speak of: a spot, what is chosen (of a picture its middle), or the whole map.
 * @param ofLink whether one speaks of what a link says, or of how it is drawn
 */
export function subjectAt(
  map: TopicMap,
  chosen: string | undefined,
  spot: string | null = null,
  ofLink: 'proposition' | 'link' = 'proposition',
): { anchor: NewComment['anchor']; target: string | null } {
  if (spot !== null) return { anchor: 'spot', target: spot };
  const isIn = (list: readonly { id: string }[]): boolean => list.some(({ id }) => id === chosen);
  const picture = map.pictures.find(({ id }) => id === chosen);
  if (picture) return { anchor: 'spot', target: spotTarget(picture) };
  if (chosen === undefined || ![map.topics, map.links, map.regions].some(isIn)) return { anchor: 'map', target: null };
  return { anchor: isIn(map.topics) ? 'topic' : isIn(map.regions) ? 'region' : ofLink, target: chosen };
}

/** A chosen comment, whole. */
export function CommentCard({
  comment,
  letter,
  map,
  legend,
  onGo,
  onClose,
  children,
}: {
  comment: CommentRow;
  letter: string;
  map: TopicMap;
  legend: Legend;
  onGo?: () => void;
  onClose: () => void;
  children?: ReactNode;
}) {
  const words = useId();
  return (
    <article
      tabIndex={-1}
      aria-label={`Comment ${letter}, ${subjectOf(map, legend, comment)}`}
      aria-describedby={words}
      className="card border-l-[3px] border-l-indigo px-2.5 py-1.5"
    >
      <div className="flex items-start gap-2 text-sm">
        <b className="font-mono text-indigo">{letter}</b>
        {comment.anchor === 'map' || comment.anchor === 'spot' || !onGo ? (
          <p className="words min-w-0 flex-1 text-quiet">{subjectOf(map, legend, comment)}</p>
        ) : (
          <button type="button" className="words min-w-0 flex-1 text-left text-quiet hover:underline" onClick={onGo}>
            {subjectOf(map, legend, comment)}
          </button>
        )}
        <button
          type="button"
          aria-label="Fold this comment"
          className="p-0.5 text-quiet hover:text-ink"
          onClick={(event) => {
            const home = event.currentTarget.closest('li');
            onClose();
            focusOn(() => home?.querySelector<HTMLElement>('[data-one-line]'));
          }}
        >
          <X aria-hidden size={13} />
        </button>
      </div>
      <p id={words} className="words whitespace-pre-wrap">
        {comment.text}
        {comment.settled && <span className="ml-1.5 text-sm text-action">settled</span>}
      </p>
      {comment.answers.map(({ id, text, by }) => (
        <p key={id} className="words mt-1 border-l-2 border-rule pl-2 text-sm">
          <span className="text-quiet">{by.givenName}: </span>
          {text}
        </p>
      ))}
      {children}
    </article>
  );
}
