import { applyChanges } from '../map/changes.js';
import type { Change } from '../map/changes.js';
import type { Legend, TopicMap } from '../map/types.js';
import { drawnBox } from '../drawn/drawn.js';
import type { Pulse } from '../pulse.js';
import type { Frame } from './frame.js';
import { TIDY_WAYS } from './tidied.js';
import { tidyMap } from './tidy.js';

/**
 * What tidies a map for a frame it is seen in whole: of the ways that order no time, the one in which it is drawn the
 * largest there.
 */
export function tidyInto(
  map: TopicMap,
  frame: Frame,
  legend: Legend | undefined = map.legend,
  pulse?: Pulse,
): Change[] {
  const tried = TIDY_WAYS.filter((way) => way !== 'timeline').map((way) => {
    const changes = tidyMap(map, { way, frame }, legend, pulse);
    return { changes, share: shareOf(applyChanges(map, changes), legend, frame) };
  });
  return tried.reduce((best, one) => (one.share > best.share ? one : best)).changes;
}

/** How many times a map as it is drawn goes into a frame, one side by one. */
function shareOf(map: TopicMap, legend: Legend | undefined, { width, height }: Frame): number {
  const box = drawnBox(map, legend);
  return box === null ? 1 : Math.min(width / (box.right - box.left), height / (box.bottom - box.top));
}
