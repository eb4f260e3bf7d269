/** Why a picture of a paper will be hard to read. ICU messages, in English. */
export const LEGIBILITY = {
  small: 'It has few pixels: letters will not be readable. Take the photo from nearer, or scan it.',
  dark: 'It is dark. Take it again in better light.',
  blurred: 'It is blurred. Hold still, and take it again.',
} as const;
export type Illegible = keyof typeof LEGIBILITY;

/** A picture in shades of grey, row by row, 0 black to 255 white. */
export interface Grey {
  width: number;
  height: number;
  shades: ArrayLike<number>;
}

/** Sides of a page on which handwriting can be read, pixels; how light its paper is, at least; how steep its edges. */
const [LEAST_LONG, LEAST_SHORT, LIGHT, STEEP] = [1000, 650, 115, 0.2];

/**
 * What makes a photographed or scanned paper hard to read. Light is the shade that nine tenths of it stay below: that of the
 * paper. Blur is told by its steepest edges: of the way from paper to ink, what part lies within one pixel. An edge that a
 * lens has blurred by a Gaussian of σ pixels goes at most 0.6 ÷ σ of it. Pale pencil has steep edges too, and a page on which
 * nothing is written has none and is not called blurred.
 */
export function illegible({ width, height, shades }: Grey): Illegible[] {
  const found: Illegible[] = [];
  if (Math.max(width, height) < LEAST_LONG || Math.min(width, height) < LEAST_SHORT) found.push('small');
  const counts = new Uint32Array(256);
  const steps = new Uint32Array(256);
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const at = y * width + x;
      counts[shades[at]! & 255]!++;
      if (x === 0 || x === width - 1) continue;
      const step = shades[at + 1]! - shades[at - 1]!;
      steps[((step < 0 ? -step : step) / 2) & 255]!++;
    }
  const paper = shadeBelow(counts, 0.9);
  if (paper < LIGHT) found.push('dark');
  const contrast = paper - shadeBelow(counts, 0.0002);
  // Of little writing there are few edges: those are looked at, not the empty paper around them.
  const inked = counts.reduce((sum, count, shade) => sum + (shade < paper - contrast / 2 ? count : 0), 0);
  const edges = 1 - (0.3 * inked) / Math.max(1, width * height);
  if (contrast > 20 && shadeBelow(steps, edges) / contrast < STEEP) found.push('blurred');
  return found;
}

/** The value that a share of all stay below, or reach. */
function shadeBelow(counts: Uint32Array, share: number): number {
  const all = counts.reduce((sum, count) => sum + count, 0);
  let sum = 0;
  for (let shade = 0; shade < 256; shade++) if ((sum += counts[shade]!) >= share * all) return shade;
  return 255;
}
