import { IntlMessageFormat } from 'intl-messageformat';

/** ICU messages (Unicode, *MessageFormat*), read once each and kept. */
const known = new Map<string, IntlMessageFormat>();

function formatOf(message: string, locale: string): IntlMessageFormat {
  const key = `${locale} ${message}`;
  const there = known.get(key);
  if (there) return there;
  const made = new IntlMessageFormat(message, locale);
  known.set(key, made);
  return made;
}

export type Arguments = Readonly<Record<string, string | number | boolean | undefined>>;

/** The sentence that a message makes of its arguments. @throws when the message names one that is not given */
export const formatted = (message: string, locale: string, of: Arguments): string =>
  String(formatOf(message, locale).format(of));

/** The same in pieces, where parts of the message stand in tags: each such part goes through its tag's function. */
export function formattedParts<T extends object>(
  message: string,
  locale: string,
  of: Arguments,
  tags: Readonly<Record<string, (text: string) => T>>,
): (string | T)[] {
  const functions = Object.fromEntries(
    Object.entries(tags).map(([name, tag]) => [name, (chunks: unknown[]) => tag(chunks.join(''))]),
  );
  const parts = formatOf(message, locale).format<T>({ ...of, ...functions });
  return Array.isArray(parts) ? parts : [parts];
}
