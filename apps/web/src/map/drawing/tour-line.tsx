import { tourLine } from '@ichnograph/core';
import type { Tour, TopicMap } from '@ichnograph/core';

/** A tour on its map: the line from stop to stop, and their numbers. Drawn in the map's own coordinates. */
export function TourLineDrawn({ map, tour }: { map: TopicMap; tour: Tour }) {
  const { points, numbers } = tourLine(map, tour);
  return (
    <>
      <polyline
        points={points.map(({ x, y }) => `${x},${y}`).join(' ')}
        fill="none"
        stroke="#1f6f63"
        strokeWidth="3"
        strokeOpacity="0.55"
        strokeDasharray="2 7"
        strokeLinecap="round"
        strokeLinejoin="round"
      />
      {numbers.map(({ x, y, words }) => (
        <g key={`${x}/${y}`} transform={`translate(${x} ${y})`}>
          <rect
            x={-(10 + words.length * 3)}
            y="-10"
            width={20 + words.length * 6}
            height="20"
            rx="10"
            fill="#1f6f63"
            stroke="#fff"
          />
          <text textAnchor="middle" y="4.5" fontSize="12" fontWeight="700" fill="#fff">
            {words}
          </text>
        </g>
      ))}
    </>
  );
}
