import { decodeHTML } from 'entities';
import { SaxesParser } from 'saxes';

/** What escapes in a label stand for: the names of what it labels. */
export type Names = Readonly<Record<string, string>>;

/** What a quoted string says: it has escapes, and character references. */
export function labelOf(text: string, names: Names): string {
  const said = text.replace(/\\(?:\r\n|[^])/g, (escape) => {
    const sign = escape.slice(1);
    if (/^[nlr]$/.test(sign)) return '\n';
    // A line that goes on in the next.
    if (/^[\r\n]/.test(sign)) return '';
    return names[sign] ?? sign;
  });
  return decodeHTML(said);
}

/** In no text: a NUL is refused. */
const PARTED = '\0';

/** The fields of a record, parted by a space; where lines are to end at them is left out. */
export function recordOf(text: string, names: Names): string {
  const fields = text
    .replace(/\\[^]|[|{}]/g, (sign) => (sign.length > 1 ? sign : PARTED))
    .split(PARTED)
    .map((field) => labelOf(withoutPort(field.trimStart()), names).trim());
  return fields.filter((field) => field !== '').join(' ');
}

function withoutPort(field: string): string {
  if (!field.startsWith('<')) return field;
  for (let i = 1; i < field.length; i++) {
    if (field[i] === '\\') i++;
    else if (field[i] === '>') return field.slice(i + 1);
  }
  return field;
}

/** The text of a label that is written like HTML; undefined where that is not well formed. */
export function htmlOf(html: string): string | undefined {
  const parser = new SaxesParser({ fragment: true });
  const said: string[] = [];
  let isWell = true;
  parser.on('error', () => {
    isWell = false;
  });
  parser.on('text', (text) => said.push(text.replace(/\s+/g, ' ')));
  parser.on('opentag', ({ name }) => {
    if (name.toLowerCase() === 'br') said.push('\n');
  });
  parser.on('closetag', ({ name }) => {
    if (name.toLowerCase() === 'td') said.push(' ');
  });
  // Named references that XML does not know are HTML's.
  const known = html.replace(/&(?!(?:amp|lt|gt|quot|apos|#\w+);)\w+;/g, (reference) => decodeHTML(reference));
  parser.write(known).close();
  return isWell ? said.join('') : undefined;
}
