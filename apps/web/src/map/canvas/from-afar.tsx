import { detailAt, drawnBox, LARGE_MAP, setTexts } from '@ichnograph/core';
import type { Detail, Heading, Legend, TopicMap } from '@ichnograph/core';
import { useStore as useFlowStore } from '@xyflow/react';
import { memo, useEffect, useMemo } from 'react';
import type { RefObject } from 'react';
import type { Flags } from './flags';
import { useShow } from './view';

/** Scales are taken in steps, so that headings are laid out seldom while one zooms. */
const STEPS = 12;
const stepOf = (zoom: number): number => 2 ** (Math.round(Math.log2(zoom) * STEPS) / STEPS);

/** What of a map is drawn as near as it is looked at now; core decides. */
export function useDetail(map: TopicMap, legend: Legend): Detail {
  const scale = useFlowStore(({ transform }) => stepOf(transform[2]));
  return useMemo(() => detailAt(map, legend, scale), [map, legend, scale]);
}

/** Whether less than half of a large map is in sight. */
export function useIsLittleSeen(map: TopicMap, legend: Legend): boolean {
  const drawn = useMemo(() => (map.topics.length < LARGE_MAP ? null : drawnBox(map, legend)), [map, legend]);
  return useFlowStore(({ transform: [x, y, zoom], width, height }) => {
    if (!drawn || width === 0) return false;
    const seen = (low: number, high: number, at: number, room: number): number =>
      Math.max(0, Math.min(high, (room - at) / zoom) - Math.max(low, -at / zoom)) / (high - low);
    return seen(drawn.left, drawn.right, x, width) * seen(drawn.top, drawn.bottom, y, height) < 0.5;
  });
}

/** Of a map that is seen from afar: no words but its headings, with how much is flagged below each. A press goes there. */
export const FromAfar = memo(function FromAfar({
  detail: { words, headings },
  flags,
  host,
}: {
  detail: Detail;
  flags: Flags;
  host: RefObject<HTMLDivElement | null>;
}) {
  const { show } = useShow();
  useEffect(() => {
    host.current?.toggleAttribute('data-afar', !words);
  }, [host, words]);
  if (words) return null;
  return (
    <svg className="pointer-events-none absolute left-0 top-0 z-[999] overflow-visible" width="1" height="1">
      {headings.map((heading) => (
        <Drawn
          key={heading.id}
          heading={heading}
          flagged={heading.marks.reduce((sum, id) => sum + (flags.get(id)?.length ?? 0), 0)}
          onGo={() => show(heading.around, { duration: 200 })}
        />
      ))}
    </svg>
  );
});

function Drawn({ heading, flagged, onGo }: { heading: Heading; flagged: number; onGo: () => void }) {
  const { at, box, lines, fontSize, text } = heading;
  const radius = fontSize * 0.75;
  return (
    <g
      className="nodrag nopan pointer-events-auto cursor-pointer"
      data-heading={text}
      transform={`translate(${at.x} ${at.y})`}
      onClick={onGo}
    >
      <title>{`Go to “${text}”`}</title>
      <rect
        x={box.left - at.x}
        y={box.top - at.y}
        width={box.right - box.left}
        height={box.bottom - box.top}
        fill="#fbfbf8"
        fillOpacity="0.94"
        stroke="#16202e"
        strokeWidth={fontSize / 13}
      />
      <g fontSize={fontSize} fontWeight={700} fill="#16202e">
        {lines.map((line, i) =>
          setTexts(line).map((piece, k) => (
            <text key={`${i} ${k}`} x={line.x + piece.x} y={line.y}>
              {piece.text}
            </text>
          )),
        )}
      </g>
      {flagged > 0 && (
        <g transform={`translate(${box.right - at.x} ${box.top - at.y})`}>
          <circle r={radius} fill="#fff" stroke="#8a5a00" strokeWidth={fontSize / 9} />
          <text
            textAnchor="middle"
            y={fontSize * 0.3}
            fontSize={fontSize * 0.85}
            fontFamily="var(--font-mono)"
            fill="#8a5a00"
          >
            {flagged}
          </text>
        </g>
      )}
    </g>
  );
}
