import { paperRuns, readFontsFor } from './paper-fonts.js';
import type { Face, Part } from './paper-fonts.js';

/** Rules that bring the fonts some words are drawn with, each part of a font for the letters it has. */
export async function fontRules(words: readonly { text: string; face: Face }[]): Promise<string> {
  return [...(await partsFor(words))].map(ruleOf).join('');
}

/** The parts of fonts that draw some words. */
export async function partsFor(words: readonly { text: string; face: Face }[]): Promise<Set<Part>> {
  await readFontsFor(words.map(({ text }) => text).join(''));
  return new Set(words.flatMap(({ text, face }) => paperRuns(text, face).map(({ part }) => part)));
}

function ruleOf({ family, weight, style, packed, ranges }: Part): string {
  const source = `url(data:font/woff2;base64,${packed.toString('base64')}) format('woff2')`;
  return `@font-face{font-family:'${family}';font-weight:${weight};font-style:${style};src:${source};unicode-range:${ranges}}`;
}
