import type { Result } from '../requirements/types.js';
import type { TopicMap } from '../map/types.js';

/** The blanks a kept remark may have, and what is put into them. */
export const REMARK_BLANKS = {
  name: 'the student’s given name',
  topic: 'the topics it is about',
  count: 'how many of them',
  points: 'the points given',
  outOf: 'the points there are',
} as const;

/** The fields a letter may have that goes with a return. */
export const LETTER_FIELDS = {
  name: 'the student’s given name',
  mark: 'the mark',
  title: 'the assignment’s title',
  comments: 'how many comments there are',
} as const;

export type RemarkBlank = keyof typeof REMARK_BLANKS;
export type RemarkValues = Partial<Record<RemarkBlank, string>>;

/** A remark's words with its blanks filled: `{topic}` becomes the topic. A blank that nothing is known of stays. */
export const fillBlanks = (text: string, values: Readonly<Partial<Record<string, string>>>): string =>
  text.replace(
    /\{(\w+)\}/g,
    (blank, name: string) => (Object.hasOwn(values, name) ? values[name] : undefined) ?? blank,
  );

const MOST_NAMED = 3;
const PLACES = 2;

/** Topics by name: “Arch”, “Deck” and 2 more. */
function named(texts: readonly string[]): string {
  const quoted = texts.map((text) => `“${text}”`);
  if (quoted.length > MOST_NAMED)
    return `${quoted.slice(0, MOST_NAMED).join(', ')} and ${quoted.length - MOST_NAMED} more`;
  return quoted.length < 2 ? (quoted[0] ?? '') : `${quoted.slice(0, -1).join(', ')} and ${quoted.at(-1)!}`;
}

const rounded = (value: number): string => String(Number(value.toFixed(PLACES)));

/**
 * What a result's evidence of one code says for the blanks, and where on the map a remark on it stands: the first topic or
 * link, and where the evidence names none, the result itself.
 * @param code left out, all evidence counts
 */
export function evidenceOf(
  { topics, links }: Pick<TopicMap, 'topics' | 'links'>,
  { id, evidence, points, outOf }: Result,
  code?: string,
): { anchor: 'topic' | 'proposition' | 'result'; target: string; blanks: RemarkValues } {
  const of = evidence.filter((one) => code === undefined || one.code === code);
  const textOf = (topic: string): string => topics.find((one) => one.id === topic)?.text ?? '';
  const ends = (link: string): string[] => {
    const found = links.find((one) => one.id === link);
    return found ? [`${textOf(found.from)} – ${textOf(found.to)}`] : [];
  };
  const texts = of.flatMap((one) => {
    const own = one.topics.map(textOf).filter((text) => text !== '');
    return own.length > 0 ? own : one.term !== undefined ? [one.term] : one.links.flatMap(ends);
  });
  const [topic] = of.flatMap((one) => one.topics);
  const [link] = of.flatMap((one) => one.links);
  const at =
    topic !== undefined
      ? { anchor: 'topic' as const, target: topic }
      : link !== undefined
        ? { anchor: 'proposition' as const, target: link }
        : { anchor: 'result' as const, target: id };
  return {
    ...at,
    blanks: {
      topic: named([...new Set(texts)]),
      count: String(of.length),
      points: rounded(points),
      outOf: rounded(outOf),
    },
  };
}
