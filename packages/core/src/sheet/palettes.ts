import type { Shape } from '../map/types.js';

/** Looks for the kinds of a legend, in the order in which kinds take them. */
export interface Palette {
  id: string;
  name: string;
  looks: readonly { shape: Shape; fill: string }[];
}

/**
 * Each kind of a palette has a shape of its own, which grey print and every eye tells apart; the fills, all pale enough to
 * print, were chosen to be as far apart as eight can be (CIEDE2000) for eyes that lack red, green or blue too.
 */
const SHAPE_ORDER: readonly Shape[] = [
  'capsule',
  'rectangle',
  'trapezoid',
  'parallelogram',
  'note',
  'hexagon',
  'ellipse',
  'octagon',
];

const palette = (id: string, name: string, fills: readonly string[]): Palette => ({
  id,
  name,
  looks: fills.map((fill, i) => ({ shape: SHAPE_ORDER[i]!, fill })),
});

export const PALETTES: readonly Palette[] = [
  palette('sluice', 'Sluice', ['#cfe0dc', '#d3f6ff', '#e2d18c', '#feffd9', '#91ddff', '#d7d1bb', '#ffefae', '#f5fff5']),
  palette('heather', 'Heather', [
    '#e3ddf2',
    '#bdd8d2',
    '#ffc1a2',
    '#dff5e6',
    '#f4f4ad',
    '#e5c0fc',
    '#cad5c1',
    '#feffd9',
  ]),
  palette('quarry', 'Quarry', ['#ebe7d6', '#e3f0ff', '#edcd8c', '#e1c9d4', '#b0d5ff', '#d5e1b5', '#fcfcfc', '#ffefae']),
  palette('orchard', 'Orchard', [
    '#dfe8c8',
    '#c2d7c9',
    '#f7bbe8',
    '#f4f4ad',
    '#ffe7f2',
    '#d6d690',
    '#decad9',
    '#fffcef',
  ]),
  palette('brick', 'Brick', ['#f6dcd2', '#bad1ff', '#c9da97', '#feffd9', '#ffbbcf', '#e6efff', '#f4f4ad', '#daf6ef']),
];
