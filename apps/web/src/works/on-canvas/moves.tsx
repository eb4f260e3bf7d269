import { boxOf, CrossingCounter } from '@ichnograph/core';
import type { Move, TopicMap } from '@ichnograph/core';
import { X } from 'lucide-react';
import { useEffect, useMemo } from 'react';
import type { RefObject } from 'react';
import { Button } from '../../ui/button';
import { useEditor, useEditorState } from '../editor';

/** How many moves are shown at once. */
const SHOWN = 5;

/** The moves that take crossings away from the map as it is now; null while they are not asked for. */
function useMoves(): Move[] | null {
  const { assignment } = useEditor();
  const isAsked = useEditorState((state) => state.moves);
  const map = useEditorState((state) => state.map);
  return useMemo(
    () => (isAsked ? new CrossingCounter(map, assignment.legend).moves(SHOWN) : null),
    [isAsked, map, assignment],
  );
}

const textOf = (map: TopicMap, { id }: Move): string => map.topics.find((topic) => topic.id === id)?.text ?? '';

/** Moves one by one: each is said and shown, and taken by a press; those that are left are reckoned anew. */
export function Moves({ host }: { host: RefObject<HTMLDivElement | null> }) {
  const { actions } = useEditor();
  const map = useEditorState((state) => state.map);
  const moves = useMoves();
  const isOpen = moves !== null;
  useEffect(() => {
    const canvas = host.current;
    if (isOpen) return () => canvas?.focus({ preventScroll: true });
    return undefined;
  }, [host, isOpen]);
  if (!moves) return null;
  return (
    <section
      aria-label="Moves that take crossings away"
      className="card nowheel absolute left-3 top-3 z-30 grid w-64 gap-1.5 border-ink p-2"
      onKeyDown={(event) => {
        if (event.key !== 'Escape') return;
        event.stopPropagation();
        actions.showMoves(false);
      }}
    >
      <div className="flex items-start justify-between gap-2">
        <p className="text-sm font-semibold">
          {moves.length === 0 ? 'No one move takes crossings away.' : 'Moves that take crossings away'}
        </p>
        <Button small look="quiet" autoFocus aria-label="Close the moves" onClick={() => actions.showMoves(false)}>
          <X aria-hidden size={14} />
        </Button>
      </div>
      <ol className="grid gap-px">
        {moves.map((move, i) => (
          <li key={move.id}>
            <button
              type="button"
              className="flex w-full gap-2 rounded-sm px-2 py-1 text-left hover:bg-wash"
              onClick={() => actions.takeMove(move)}
            >
              <span className="font-mono text-quiet">{i + 1}</span>
              <span className="words min-w-0 flex-1">{textOf(map, move)}</span>
              <span className="whitespace-nowrap font-mono">{`−${move.fewer}`}</span>
            </button>
          </li>
        ))}
      </ol>
    </section>
  );
}

/** Where each would go, in map coordinates. */
export function MovesShown() {
  const map = useEditorState((state) => state.map);
  const moves = useMoves();
  if (!moves) return null;
  return (
    <svg
      aria-hidden
      className="pointer-events-none absolute left-0 top-0 z-[998] overflow-visible"
      width="1"
      height="1"
      fill="none"
      stroke="#1f6f63"
      strokeWidth="2"
      strokeDasharray="6 4"
    >
      {moves.map((move, i) => {
        const topic = map.topics.find(({ id }) => id === move.id);
        if (!topic) return null;
        const { left, top, right, bottom } = boxOf({ ...topic, ...move.at });
        return (
          <g key={move.id}>
            <line x1={topic.x} y1={topic.y} x2={move.at.x} y2={move.at.y} />
            <rect x={left} y={top} width={right - left} height={bottom - top} fill="#e3eeeb" fillOpacity="0.7" />
            <text x={move.at.x} y={move.at.y + 5} textAnchor="middle" fontSize="14" fill="#1f6f63" stroke="none">
              {i + 1}
            </text>
          </g>
        );
      })}
    </svg>
  );
}
