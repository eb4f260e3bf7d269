import { drawnMarks, markBoxes } from '@ichnograph/core';
import type { Legend, TopicMap } from '@ichnograph/core';
import { Fragment, memo, useMemo } from 'react';
import { Shapes } from '../drawing/drawing';

/** What lies behind everything else: regions. */
export const Behind = memo(function Behind({ map, legend }: { map: TopicMap; legend: Legend }) {
  const drawings = drawnMarks(map, legend, ['regions']);
  if (drawings.length === 0) return null;
  return (
    <svg aria-hidden width="1" height="1" className="pointer-events-none absolute -z-10 overflow-visible">
      {drawings.map(({ id, drawing: { at, shapes } }) => (
        <g key={id} transform={`translate(${at.x} ${at.y})`}>
          <Shapes shapes={shapes} />
        </g>
      ))}
    </svg>
  );
});

/** What of a region can be pressed: its title, and where there is none its upper left corner. What is chosen is framed. */
export function RegionTitles({
  map,
  legend,
  selection,
  what,
  onRegion,
}: {
  map: TopicMap;
  legend: Legend;
  selection: ReadonlySet<string>;
  /** what pressing it does, in words */
  what: string;
  onRegion: (id: string) => void;
}) {
  const boxes = useMemo(() => markBoxes(map, legend, 'regions'), [map, legend]);
  return map.regions.map((region) => {
    const own = boxes.get(region.id);
    if (!own) return null;
    const width = own.right - own.left;
    return (
      <Fragment key={region.id}>
        {selection.has(region.id) && (
          <div
            data-testid="chosen-region"
            className="pointer-events-none absolute border-2 border-action"
            style={{ left: own.left, top: own.top, width, height: own.bottom - own.top }}
          />
        )}
        <button
          type="button"
          className="nodrag nopan pointer-events-auto absolute cursor-pointer opacity-0 focus-visible:opacity-100"
          style={{ left: own.left, top: own.top, width: Math.max(24, width), height: 22 }}
          aria-label={`Region ${region.title || 'without a title'}: ${what}`}
          onClick={() => onRegion(region.id)}
        />
      </Fragment>
    );
  });
}
