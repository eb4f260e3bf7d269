import { luminance } from '@ichnograph/core';

/** A colour as a printer without colours shows it: as light as it is (WCAG 2 relative luminance, in sRGB again). */
export function greyOf(colour: string): string {
  if (!/^#[0-9a-f]{6}$/i.test(colour)) return colour;
  const light = luminance(colour);
  const value = light <= 0.0031308 ? 12.92 * light : 1.055 * light ** (1 / 2.4) - 0.055;
  const digits = Math.round(value * 255)
    .toString(16)
    .padStart(2, '0');
  return `#${digits.repeat(3)}`;
}
