import { ARROWS, DASHES, ROUTES, SHAPES } from '@ichnograph/core';
import { formatHex, parse } from 'culori';

const among =
  <T extends string>(values: readonly T[]) =>
  (word: string | undefined): T | undefined =>
    values.find((value) => value === word?.trim().toLowerCase());

/** A word of a file as one of ours; undefined for all others. */
export const shapeOf = among(SHAPES);
export const routeOf = among(ROUTES);
export const dashOf = among(DASHES);
export const arrowOf = among(ARROWS);

export function numberOf(text: string | undefined): number | undefined {
  const value = Number(text?.trim() || NaN);
  return Number.isFinite(value) ? value : undefined;
}

/** A number between two bounds, or none. */
export function within(value: number | undefined, least: number, most: number): number | undefined {
  return value !== undefined && value >= least && value <= most ? value : undefined;
}

/** A colour as `#rrggbb`: as CSS writes it, or the three numbers of hue, saturation and value that DOT allows. */
export function colourOf(text: string | undefined): string | undefined {
  const word = text?.trim().toLowerCase();
  if (!word) return undefined;
  if (/^#[0-9a-f]{6}$/.test(word)) return text!.trim();
  const hsv = /^([01]?\.\d+|[01])[ ,]+([01]?\.\d+|[01])[ ,]+([01]?\.\d+|[01])$/.exec(word);
  if (hsv) return formatHex({ mode: 'hsv', h: 360 * Number(hsv[1]), s: Number(hsv[2]), v: Number(hsv[3]) });
  const parsed = parse(word);
  return parsed && (parsed.alpha ?? 1) > 0 ? formatHex({ ...parsed, alpha: 1 }) : undefined;
}

export function fillOf(text: string | undefined): string | undefined {
  const word = text?.trim().toLowerCase();
  return word === 'none' || word === 'transparent' ? 'none' : colourOf(text);
}

/** Only what is there. */
export function defined<T extends object>(fields: { [K in keyof T]: T[K] | undefined }): T {
  return Object.fromEntries(Object.entries(fields).filter(([, value]) => value !== undefined)) as T;
}
