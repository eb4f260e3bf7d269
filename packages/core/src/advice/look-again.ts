import { bankChips } from '../map/bank.js';
import { luminance } from '../map/colour.js';
import { topicStyle } from '../map/style.js';
import { bestPage, LEAST_POINTS, pointsOn } from '../on-paper/page.js';
import type { Assignment, TopicMap } from '../map/types.js';
import { isBlank, wordsOf } from '../words/normal-form.js';

/** What is worth another look before a map is handed in, whatever is asked for: ICU messages in English. */
export const LOOK_AGAIN = {
  waiting:
    '{count, plural, one {One given term waits} other {{count} given terms wait}} in the bank. Place them, or say why not.',
  loose: '{count, plural, one {One topic is} other {{count} topics are}} joined to nothing. Where do they belong?',
  wordless: '{count, plural, one {One link says} other {{count} links say}} nothing. What is it that joins them?',
  long: '{count, plural, one {One topic has} other {{count} topics have}} more than 12 words. Could a note hold some?',
  marked: '{count, plural, one {One topic is} other {{count} topics are}} still marked as open by you.',
  dark: '{count, plural, one {One fill prints} other {{count} fills print}} nearly black. Choose a paler one.',
  small:
    'On one sheet of A4 its smallest letters are {points, number} points high, too small to be read. Print it on several sheets, or lay it out closer.',
} as const;

export interface LookAgain {
  code: keyof typeof LOOK_AGAIN;
  data: Readonly<Record<string, number>>;
  /** topics and links that it is about */
  marks: readonly string[];
}

/** Words beyond which a topic is a sentence, and a fill that a printer makes black. */
const [LONG, DARK] = [12, 0.18];
const OPEN = new Set(['question', 'check', 'weak']);

/** Each with what it is about, the gravest first; nothing of it is a requirement. */
export function lookAgain(map: TopicMap, assignment: Assignment): LookAgain[] {
  const { legend } = assignment;
  const joined = new Set(map.links.flatMap(({ from, to }) => [from, to]));
  const topics = (is: (topic: TopicMap['topics'][number]) => boolean): string[] =>
    map.topics.filter(is).map(({ id }) => id);
  const kindSpeaks = (kind: string | null): boolean =>
    legend.linkKinds.find(({ id }) => id === kind)?.structural === false;
  const found: [LookAgain['code'], readonly string[]][] = [
    ['loose', map.topics.length > 1 ? topics(({ id }) => !joined.has(id)) : []],
    ['wordless', map.links.filter(({ phrase, kind }) => isBlank(phrase) && !kindSpeaks(kind)).map(({ id }) => id)],
    ['marked', topics(({ marks }) => marks?.some((mark) => OPEN.has(mark)) ?? false)],
    ['long', topics(({ text }) => wordsOf(text).length > LONG)],
    [
      'dark',
      topics((topic) => {
        const { fill } = topicStyle(topic, legend);
        return fill !== 'none' && luminance(fill) < DARK;
      }),
    ],
  ];
  const waiting = bankChips(map, assignment).filter(({ own, note }) => own === undefined && note === undefined).length;
  const points = pointsOn(map, legend, bestPage(map, legend));
  return [
    ...(waiting > 0 ? [{ code: 'waiting', data: { count: waiting }, marks: [] } as const] : []),
    ...found
      .filter(([, marks]) => marks.length > 0)
      .map(([code, marks]): LookAgain => ({ code, data: { count: marks.length }, marks })),
    ...(points < LEAST_POINTS ? [{ code: 'small', data: { points }, marks: [] } as const] : []),
  ];
}
