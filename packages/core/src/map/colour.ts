import { converter, differenceCiede2000, formatHex, parse, wcagContrast, wcagLuminance } from 'culori';
import type { Color } from 'culori';

const ciede2000 = differenceCiede2000();
const colour = (hex: string): Color => {
  const parsed = parse(hex);
  if (!parsed) throw new Error(`not a colour: ${hex}`);
  return parsed;
};

/**
 * CIEDE2000 (kL = kC = kH = 1) between two sRGB colours `#rrggbb`, via CIE Lab for D65, 2°. The fill `none` is at
 * distance 0 from `none` and infinitely far from every colour.
 * Source: Sharma, Wu and Dalal (2005), "The CIEDE2000 color-difference formula".
 */
export function colourDistance(a: string, b: string): number {
  if (a.toLowerCase() === b.toLowerCase()) return 0;
  if (a === 'none' || b === 'none') return Infinity;
  return ciede2000(colour(a), colour(b));
}

/** WCAG 2 relative luminance, 0 to 1; no fill shows the white paper. */
export const luminance = (fill: string): number => (fill === 'none' ? 1 : wcagLuminance(colour(fill)));

/** WCAG 2 contrast ratio, 1 to 21, of ink on a fill; no fill shows the white paper. */
export const contrast = (ink: string, fill: string): number =>
  wcagContrast(colour(ink), colour(fill === 'none' ? '#ffffff' : fill));

const toOklch = converter('oklch');
/** Least contrast of a line on white paper (WCAG 2.2, 1.4.11). */
const DRAWN = 3;

/** A shade of the same hue that shows as a line on white paper; no fill gives black. */
export function darkShade(fill: string): string {
  if (fill === 'none') return '#000000';
  const { c, h } = toOklch(colour(fill));
  for (let l = 0.62; l > 0; l -= 0.04) {
    const shade = formatHex({ mode: 'oklch', l, c: Math.max(c, 0.07), h: h ?? 0 });
    if (contrast(shade, '#ffffff') >= DRAWN) return shade;
  }
  return '#000000';
}
