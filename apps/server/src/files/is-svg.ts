const HEAD = 8192;

/**
 * Whether a file is a drawing in SVG: after a mark of byte order, white space, declarations, comments and a document type,
 * its first element is `svg`. Scanned from left to right, each character once: no pattern reads what people send.
 */
export function isSvg(bytes: Buffer): boolean {
  const text = bytes.subarray(0, HEAD).toString('utf8');
  let at = text.startsWith('\uFEFF') ? 1 : 0;
  const after = (end: string): number => {
    const found = text.indexOf(end, at);
    return found < 0 ? text.length : found + end.length;
  };
  while (at < text.length) {
    if (' \t\r\n'.includes(text[at]!)) at += 1;
    else if (text.startsWith('<?', at)) at = after('?>');
    else if (text.startsWith('<!--', at)) at = after('-->');
    else if (text.startsWith('<!DOCTYPE', at)) {
      const subset = text.indexOf('[', at);
      at = subset >= 0 && subset < after('>') ? after(']') : after('>');
      if (text.startsWith('>', at)) at += 1;
    } else return text.startsWith('<svg', at) && ' \t\r\n>/'.includes(text[at + 4] ?? 'x');
  }
  return false;
}

/**
 * The same drawing without filters, which can cost any time to draw: within tags and style sheets the word is put out of
 * use; what is written in the drawing stays as it is.
 */
export function withoutFilters(svg: string): string {
  let out = '';
  let inStyle = false;
  for (let at = 0; at < svg.length;) {
    const open = svg.indexOf('<', at);
    const end = open < 0 ? svg.length : open;
    const words = svg.slice(at, end);
    out += inStyle ? unfiltered(words) : words;
    if (open < 0) break;
    const close = tagEnd(svg, open);
    const tag = svg.slice(open, close);
    if (tag.startsWith('<style')) inStyle = !tag.endsWith('/>');
    else if (tag.startsWith('</style')) inStyle = false;
    out += unfiltered(tag);
    at = close;
  }
  return out;
}

/** Where a tag, a comment or a section of characters ends. */
function tagEnd(svg: string, open: number): number {
  const end = svg.startsWith('<!--', open) ? '-->' : svg.startsWith('<![CDATA[', open) ? ']]>' : '>';
  const found = svg.indexOf(end, open);
  return found < 0 ? svg.length : found + end.length;
}

const unfiltered = (words: string): string => words.replaceAll(/filter/gi, 'unused');
