import { balloonPlaces, RING } from '@ichnograph/core';
import type { Legend, TopicMap } from '@ichnograph/core';
import { useStore as useFlowStore } from '@xyflow/react';
import { memo, useMemo } from 'react';
import { STATUS_COLOURS } from '../../ui/balloon';
import { DIMMED } from '../drawing/dimmed';
import type { Flag, Flags } from './flags';

const keyOf = ({ number }: Flag): number => number;
const MOST = 3;

/** How much rings grow on a map shown small, so that their numbers can still be read; in steps, to be laid out seldom. */
export const markScaleAt = (zoom: number): number => Math.min(2.4, Math.max(1, Math.round(8.5 / zoom) / 10));

/** The rings of all that a report flags, each where core finds room for it; in map coordinates. */
export const BalloonLayer = memo(function BalloonLayer({
  map,
  legend,
  flags,
  concern,
  inHand,
}: {
  map: TopicMap;
  legend: Legend;
  flags: Flags;
  concern: ReadonlySet<string> | null;
  /** what is being moved, whose rings would stay behind */
  inHand: ReadonlyMap<string, unknown>;
}) {
  const scale = useFlowStore(({ transform }) => markScaleAt(transform[2]));
  const places = useMemo(() => {
    const shown = new Map([...flags].map(([id, own]) => [id, own.length > MOST ? own.slice(0, MOST - 1) : own]));
    return balloonPlaces(map, legend, shown, keyOf, scale);
  }, [map, legend, flags, scale]);
  return (
    <svg aria-hidden className="pointer-events-none absolute left-0 top-0 overflow-visible" width="1" height="1">
      {places.map(({ at, flags: shown, count, marks }) => {
        const [id] = marks as [string];
        if (marks.some((mark) => inHand.has(mark))) return null;
        const dimmed = concern !== null && !marks.some((mark) => concern.has(mark));
        const more = (flags.get(id)?.length ?? 0) - shown.length;
        return (
          <g
            key={id}
            data-balloon={shown.map(keyOf).join(' ')}
            data-of={id}
            transform={`translate(${at.x} ${at.y}) scale(${scale}) translate(${(-(shown.length - 1) * RING.step) / 2} 0)`}
            opacity={dimmed ? DIMMED : 1}
          >
            {shown.map(({ number, status }, i) => (
              <g key={number} transform={`translate(${i * RING.step} 0)`}>
                <circle r={RING.radius} fill="#fff" stroke={STATUS_COLOURS[status]} strokeWidth="1.5" />
                <text
                  textAnchor="middle"
                  y="4"
                  fontSize="11"
                  fontFamily="var(--font-mono)"
                  fill={STATUS_COLOURS[status]}
                >
                  {number}
                </text>
              </g>
            ))}
            {(count > 1 || more > 0) && (
              <text
                x={shown.length * RING.step - 7}
                y="4"
                fontSize="11"
                fill="#16202e"
                stroke="#f4f5f1"
                strokeWidth="3"
                paintOrder="stroke"
              >
                {count > 1 ? `×${count}` : `+${more}`}
              </text>
            )}
          </g>
        );
      })}
    </svg>
  );
});
