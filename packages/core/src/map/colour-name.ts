import { converter, parse } from 'culori';

const toOklch = converter('oklch');
/** Where hues begin, degrees of OKLCH. */
const HUES: readonly (readonly [from: number, name: string])[] = [
  [0, 'pink'],
  [18, 'red'],
  [45, 'orange'],
  [78, 'yellow'],
  [118, 'green'],
  [170, 'turquoise'],
  [215, 'blue'],
  [285, 'violet'],
  [328, 'pink'],
];
/** Chroma below which there is no hue to name. */
const GREYISH = 0.012;

/** A colour `#rrggbb` in words, so that it can be told from others without being seen. */
export function colourName(hex: string): string {
  const colour = toOklch(parse(hex));
  if (!colour) return hex;
  const { l, c, h = 0 } = colour;
  if (c < GREYISH)
    return l > 0.98 ? 'white' : l < 0.15 ? 'black' : l > 0.8 ? 'pale grey' : l > 0.5 ? 'grey' : 'dark grey';
  const hue = HUES.findLast(([from]) => h >= from)![1];
  const isBrown = (hue === 'orange' || hue === 'yellow') && l < 0.6;
  const tone = l > 0.85 ? 'pale ' : l > 0.7 ? 'light ' : l < 0.48 && !isBrown ? 'dark ' : '';
  return tone + (isBrown ? 'brown' : hue);
}
