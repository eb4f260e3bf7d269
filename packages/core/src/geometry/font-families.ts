import { FONT_SOURCES } from './font-sources.js';
import type { FontName } from './font-sources.js';

/** The family of a font by the name of its package: `noto-sans-hebrew` is Noto Sans Hebrew. */
const familyOf = (font: FontName): string =>
  FONT_SOURCES[font].name.replace(/(^|-)([a-z])/g, (_, gap, letter: string) => (gap ? ' ' : '') + letter.toUpperCase());
/** In which order letters are looked for. */
export const ORDER = Object.keys(FONT_SOURCES) as FontName[];

/** Which shapes Han characters take. */
export type Han = 'chinese' | 'japanese' | 'korean';
export const HAN_FAMILIES: Readonly<Record<Han, string>> = {
  chinese: 'Noto Sans SC',
  japanese: 'Noto Sans JP',
  korean: 'Noto Sans KR',
};

/** Families as CSS and SVG name them, those of a text's own Han shapes before the others. */
export function familyList(han: Han = 'chinese'): string {
  const others = (Object.keys(HAN_FAMILIES) as Han[]).filter((one) => one !== han);
  const names = [...ORDER.map(familyOf), ...[han, ...others].map((one) => HAN_FAMILIES[one])];
  return [...names.map((name) => `'${name}'`), 'sans-serif'].join(', ');
}

/** What is drawn by the fonts for Chinese, Japanese and Korean. */
export const EAST_ASIAN =
  /[\u1100-\u11ff\u2e80-\u2fdf\u2ff0-\u31ff\u3200-\u4dbf\u4e00-\u9fff\ua960-\ua97f\uac00-\ud7ff\uf900-\ufaff\ufe30-\ufe4f\uff00-\uffef\u{20000}-\u{2fa1f}]/u;
export const HANGUL = /[\u1100-\u11ff\u3130-\u318f\ua960-\ua97f\uac00-\ud7ff]/u;
const KANA = /[\u3040-\u30ff\u31f0-\u31ff]/u;

/** The Han shapes of a text: by the letters that only one of the three has; none where it has nothing of them. */
export function hanOf(text: string): Han | undefined {
  if (!EAST_ASIAN.test(text)) return undefined;
  return KANA.test(text) ? 'japanese' : HANGUL.test(text) ? 'korean' : 'chinese';
}
