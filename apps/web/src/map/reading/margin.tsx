import { anchorPoint } from '@ichnograph/core';
import type { Legend, TopicMap } from '@ichnograph/core';
import { spotOf } from '@ichnograph/contract';
import type { CommentRow } from '@ichnograph/contract';
import { useStore as useFlowStore } from '@xyflow/react';
import { useLayoutEffect, useRef, useState } from 'react';
import type { ReactNode } from 'react';
import { focusOn } from '../../common/focus-on';
import { useMedia } from '../../common/use-media';
import { subjectOf } from './comment-card';
import { lettered } from './letters';

/** How wide the margin is: it takes room only where something stands in it, and less in a narrow window. */
export function useMarginWidth(comments: number): number {
  const isNarrow = useMedia('(max-width: 1199px)');
  const isPhone = useIsPhone();
  return comments === 0 || isPhone ? 0 : isNarrow ? 140 : 184;
}

/** On a phone there is no room beside a map: what stands in the margin elsewhere stands in a list below it. */
export const useIsPhone = (): boolean => useMedia('(max-width: 639px)');

/** Where on the map a comment's letter stands; null for the whole map, a result, or what is gone. */
const placeOf = (map: TopicMap, legend: Legend, { anchor, target }: CommentRow): { x: number; y: number } | null =>
  anchor === 'spot' ? spotOf(target) : target === null ? null : anchorPoint(map, legend, target);

interface Props {
  map: TopicMap;
  legend: Legend;
  comments: readonly CommentRow[];
  chosen: string | null;
  onChoose: (id: string | null) => void;
  /** the whole of a comment, shown when it is chosen */
  card: (comment: CommentRow, letter: string) => ReactNode;
}

const LETTER = 16;

/**
 * The margin of a marked map: comments by their letters, level with what they speak of, pushed down where they would
 * overlap; a line each until one is chosen, which is tied to its place by a hairline.
 */
export function Margin({ map, legend, comments, chosen, onChoose, card }: Props) {
  const [tx, ty, zoom] = useFlowStore(({ transform }) => transform);
  const height = useFlowStore((state) => state.height);
  const width = useFlowStore((state) => state.width);
  const marginWidth = useMarginWidth(comments.length);
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
    // A card grows when it is chosen, or its comment is changed in place.
    const observer = new ResizeObserver(measure);
    for (const item of list.current?.children ?? []) observer.observe(item);
    measure();
    return () => observer.disconnect();
  }, [comments]);
  const anchored = lettered(comments)
    .map(({ comment, letter }) => {
      const at = placeOf(map, legend, comment);
      return { comment, letter, at: at && { x: at.x * zoom + tx, y: at.y * zoom + ty } };
    })
    .sort((a, b) => (a.at?.y ?? Infinity) - (b.at?.y ?? Infinity));
  // From below, so that nothing is pushed out of sight, then from above, so that nothing overlaps.
  const tallOf = (id: string): number => heights.get(id) ?? 30;
  let below = height - 6;
  const latest = new Map<string, number>();
  for (const { comment } of [...anchored].reverse()) {
    below -= tallOf(comment.id) + 6;
    latest.set(comment.id, below);
  }
  let free = 8;
  const placed = anchored.map((one) => {
    const level = one.at ? one.at.y - 15 : Infinity;
    const top = Math.max(free, Math.min(level, latest.get(one.comment.id)!));
    free = top + tallOf(one.comment.id) + 6;
    return { ...one, top };
  });
  const left = width - marginWidth;
  if (comments.length === 0) return null;
  const isPhone = marginWidth === 0;
  return (
    <>
      <svg aria-hidden className="pointer-events-none absolute inset-0 z-[5] h-full w-full overflow-hidden">
        {placed.map(
          ({ comment, letter, at, top }) =>
            at &&
            at.x < left && (
              <g key={comment.id}>
                {comment.id === chosen && (
                  <path
                    d={`M${at.x + LETTER} ${at.y}L${left - 10} ${top + 15}H${left}`}
                    fill="none"
                    stroke="#3d4a9a"
                    strokeOpacity="0.7"
                  />
                )}
                <rect
                  x={at.x + 1}
                  y={at.y - LETTER / 2}
                  width={LETTER}
                  height={LETTER}
                  fill={comment.id === chosen ? '#3d4a9a' : '#fff'}
                  stroke="#3d4a9a"
                />
                <text
                  x={at.x + 1 + LETTER / 2}
                  y={at.y + 4}
                  textAnchor="middle"
                  fontSize="12"
                  fontFamily="var(--font-mono)"
                  fontWeight="700"
                  fill={comment.id === chosen ? '#fff' : '#3d4a9a'}
                >
                  {letter}
                </text>
              </g>
            ),
        )}
      </svg>
      {!isPhone && (
        <aside
          aria-label="Margin"
          className="pointer-events-none absolute bottom-0 right-0 top-0 z-[6] overflow-y-auto pr-2"
          style={{ width: Math.max(marginWidth, 240), paddingLeft: Math.max(0, 240 - marginWidth) }}
        >
          <ol ref={list} className="relative" style={{ height: free }}>
            {placed.map(({ comment, letter, top }) => (
              <li
                key={comment.id}
                data-comment={comment.id}
                className="pointer-events-auto absolute w-full"
                style={{ top }}
              >
                {comment.id === chosen ? (
                  // Wider than the margin, over the map: a remark is read in lines, not in single words.
                  <div style={{ marginLeft: Math.min(0, marginWidth - 240) }}>{card(comment, letter)}</div>
                ) : (
                  <OneLine
                    comment={comment}
                    letter={letter}
                    subject={subjectOf(map, legend, comment)}
                    onChoose={onChoose}
                  />
                )}
              </li>
            ))}
          </ol>
        </aside>
      )}
    </>
  );
}

function OneLine({
  comment,
  letter,
  subject,
  onChoose,
}: {
  comment: CommentRow;
  letter: string;
  /** what it speaks of, for those who do not see where it hangs */
  subject: string;
  onChoose: (id: string) => void;
}) {
  return (
    <button
      type="button"
      data-one-line
      aria-expanded={false}
      className="card flex w-full items-baseline gap-2 border-l-[3px] border-l-indigo px-2 py-1 text-left text-sm hover:bg-canvas"
      onClick={(event) => {
        const home = event.currentTarget.closest('li');
        onChoose(comment.id);
        // What was opened is read; what had the focus is gone with it.
        focusOn(() => home?.querySelector('article'));
      }}
    >
      <b className="font-mono text-indigo">{letter}</b>
      <span className="sr-only">{subject}: </span>
      <span className={`min-w-0 flex-1 truncate ${comment.settled ? 'text-quiet line-through' : ''}`}>
        {comment.text}
      </span>
    </button>
  );
}

/** The comments of a map on a phone, below it. */
export function CommentList({ map, legend, comments, chosen, onChoose, card }: Props) {
  const isPhone = useIsPhone();
  if (!isPhone || comments.length === 0) return null;
  return (
    <aside aria-label="Margin" className="max-h-[38vh] shrink-0 overflow-y-auto border-t border-rule p-2">
      <ol className="grid gap-1.5">
        {lettered(comments).map(({ comment, letter }) => (
          <li key={comment.id}>
            {comment.id === chosen ? (
              card(comment, letter)
            ) : (
              <OneLine
                comment={comment}
                letter={letter}
                subject={subjectOf(map, legend, comment)}
                onChoose={onChoose}
              />
            )}
          </li>
        ))}
      </ol>
    </aside>
  );
}
