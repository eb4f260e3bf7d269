import { drawLink, pointAlong } from '@ichnograph/core';
import type { Legend, TopicMap } from '@ichnograph/core';
import type { CommentRow } from '@ichnograph/contract';
import { useStore as useFlowStore } from '@xyflow/react';
import { useLayoutEffect, useRef, useState } from 'react';
import type { ReactNode } from 'react';

export const MARGIN_WIDTH = 206;

/** Where on the map a comment's subject is; null for the whole map, or what is gone. */
function placeOf(map: TopicMap, legend: Legend, { anchor, target }: CommentRow): { x: number; y: number } | null {
  if (anchor === 'topic') {
    const topic = map.topics.find(({ id }) => id === target);
    return topic ? { x: topic.x + topic.width / 2, y: topic.y } : null;
  }
  const link = map.links.find(({ id }) => id === target);
  const [from, to] = [link?.from, link?.to].map((end) => map.topics.find(({ id }) => id === end));
  return link && from && to ? pointAlong(drawLink(link, from, to, legend).line, 0.5) : null;
}

interface Props {
  map: TopicMap;
  legend: Legend;
  comments: readonly CommentRow[];
  card: (comment: CommentRow) => ReactNode;
}

/**
 * The margin of a marked map: comments level with what they speak of, pushed down where they would overlap, each tied by
 * a hairline. Those on the whole map stand below.
 */
export function Margin({ map, legend, comments, card }: Props) {
  const [tx, ty, zoom] = useFlowStore(({ transform }) => transform);
  const height = useFlowStore((state) => state.height);
  const width = useFlowStore((state) => state.width);
  const [heights, setHeights] = useState<ReadonlyMap<string, number>>(new Map());
  const list = useRef<HTMLOListElement>(null);
  useLayoutEffect(() => {
    const measure = (): void =>
      setHeights(
        new Map(
          [...(list.current?.children ?? [])].map((item) => [
            (item as HTMLElement).dataset.comment!,
            item.clientHeight,
          ]),
        ),
      );
    // A card grows when its comment is changed in place, too.
    const observer = new ResizeObserver(measure);
    for (const item of list.current?.children ?? []) observer.observe(item);
    measure();
    return () => observer.disconnect();
  }, [comments]);
  const anchored = comments
    .map((comment) => ({ comment, at: placeOf(map, legend, comment) }))
    .map(({ comment, at }) => ({ comment, at: at && { x: at.x * zoom + tx, y: at.y * zoom + ty } }))
    .sort((a, b) => (a.at?.y ?? Infinity) - (b.at?.y ?? Infinity));
  let free = 8;
  const placed = anchored.map(({ comment, at }) => {
    const tall = heights.get(comment.id) ?? 70;
    const top = Math.max(free, Math.min(at ? at.y - 18 : free, height - tall - 60));
    free = top + tall + 8;
    return { comment, at, top };
  });
  const left = width - MARGIN_WIDTH - 10;
  return (
    <>
      <svg aria-hidden className="pointer-events-none absolute inset-0 h-full w-full overflow-hidden">
        {placed.map(
          ({ comment, at, top }) =>
            at &&
            at.x < left && (
              <path
                key={comment.id}
                d={`M${at.x + 4} ${at.y}L${left - 12} ${top + 16}H${left}`}
                fill="none"
                stroke="#4d5867"
                strokeOpacity="0.55"
              />
            ),
        )}
      </svg>
      <aside
        aria-label="Margin"
        className="pointer-events-none absolute bottom-0 right-0 top-0 overflow-y-auto pr-2.5"
        style={{ width: MARGIN_WIDTH + 10 }}
      >
        <ol ref={list} className="relative" style={{ height: free }}>
          {placed.map(({ comment, top }) => (
            <li
              key={comment.id}
              data-comment={comment.id}
              className="pointer-events-auto absolute w-full"
              style={{ top }}
            >
              {card(comment)}
            </li>
          ))}
        </ol>
      </aside>
    </>
  );
}
