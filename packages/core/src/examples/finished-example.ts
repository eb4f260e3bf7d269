import type { Legend, TopicMap } from '../map/types.js';
import { dressed, rolesIn } from './dressed.js';
import { exampleLegend, sketch } from './sketch.js';

/** Written with the examples' legend: `*` starts the map, `+` is a heading of one's own, `^` and unmarked ones are handed out. */
const BREAD = sketch(
  ['*Bread', '+What goes in |  |  | +What happens', 'Flour | Water | Yeast | Dough | Crust', ' | ^Warmth |  | ^Gas | '],
  [
    'Bread > What goes in: begins with',
    'Bread > What happens: comes of',
    'What goes in > Flour: is mostly',
    'What goes in > Water: needs',
    'What goes in > Yeast: is woken by',
    'What happens > Dough: begins in the',
    'What happens > Crust: ends in a',
    'Yeast > Gas: breathes out',
    'Gas > Dough: lifts the',
    'Warmth > Yeast: wakes the',
  ],
  { map: { title: 'How bread rises', focusQuestion: 'Why does dough become bread?' } },
);

/** A finished map on another subject, in the looks of this legend: what a map can be, and nothing of what it shall say. */
export function finishedExample(legend: Legend): { map: TopicMap; legend: Legend } {
  const own = dressed(BREAD, rolesIn(legend), legend);
  return own ? { map: own, legend } : { map: BREAD, legend: exampleLegend };
}
