import { familyList } from '../geometry/font-families.js';
import { setTexts } from '../geometry/text.js';
import type { TextLine } from '../geometry/text.js';

/** One laid-out line, at the left end of its baseline. What the fonts lack is squeezed or stretched to its width. */
export function textSvg({ x, y, ...line }: TextLine & { x: number; y: number }): string {
  const family = line.han && line.han !== 'chinese' ? ` font-family="${familyList(line.han)}"` : '';
  return setTexts(line)
    .map(({ text, x: from, squeezedTo }) => {
      const squeezed =
        squeezedTo === undefined ? '' : ` textLength="${fixed(squeezedTo)}" lengthAdjust="spacingAndGlyphs"`;
      return `<text x="${fixed(x + from)}" y="${fixed(y)}"${family}${squeezed}>${escaped(text)}</text>`;
    })
    .join('');
}

export const fixed = (value: number): string => String(Math.round(value * 100) / 100);

/** Text for XML. Control characters are none: a map that carries one must not make an unreadable picture. */
export const escaped = (text: string): string =>
  text.replace(/\p{Cc}/gu, (c) => (/\s/.test(c) ? ' ' : '')).replace(/[&<>"]/g, (c) => `&#${c.charCodeAt(0)};`);
