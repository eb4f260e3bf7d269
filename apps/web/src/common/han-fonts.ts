import { hanOf } from '@ichnograph/core';
import type { Han } from '@ichnograph/core';

/** The fonts of Chinese, Japanese and Korean name hundreds of files: what says which is loaded when a text needs it. */
const LOAD: Readonly<Record<Han, () => Promise<unknown>>> = {
  chinese: () => Promise.all([import('@fontsource/noto-sans-sc/400.css'), import('@fontsource/noto-sans-sc/700.css')]),
  japanese: () => Promise.all([import('@fontsource/noto-sans-jp/400.css'), import('@fontsource/noto-sans-jp/700.css')]),
  korean: () => Promise.all([import('@fontsource/noto-sans-kr/400.css'), import('@fontsource/noto-sans-kr/700.css')]),
};
const asked = new Set<Han>();

export function needHan(han: Han): void {
  if (asked.has(han)) return;
  asked.add(han);
  // Without them the browser's own fonts draw it; the next text that needs them tries again.
  LOAD[han]().catch(() => asked.delete(han));
}

/** Of whatever text comes from the server: lists, names and remarks are read in them too. */
export function needFontsOf(text: string): void {
  const han = hanOf(text);
  if (han) needHan(han);
}
