interface Line {
  text: string;
  x: number;
  y: number;
  width?: number;
  foreign?: boolean;
}

/** One laid-out line. One with characters the fonts lack is squeezed or stretched to the width it was laid out in. */
export const textSvg = ({ text, x, y, width, foreign }: Line): string =>
  `<text x="${fixed(x)}" y="${fixed(y)}"${foreign && width !== undefined ? ` textLength="${fixed(width)}" lengthAdjust="spacingAndGlyphs"` : ''}>${escaped(text)}</text>`;

export const fixed = (value: number): string => String(Math.round(value * 100) / 100);

/** Text for XML. Control characters are none: a map that carries one must not make an unreadable picture. */
export const escaped = (text: string): string =>
  text.replace(/\p{Cc}/gu, (c) => (/\s/.test(c) ? ' ' : '')).replace(/[&<>"]/g, (c) => `&#${c.charCodeAt(0)};`);
