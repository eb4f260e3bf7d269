import { bankChips } from '../map/bank.js';
import { luminance } from '../map/colour.js';
import { linkStyle, topicStyle } from '../map/style.js';
import { drawnBox } from '../marks/marks.js';
import { PHRASE_SIZE } from '../geometry/draw-link.js';
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
    'On one sheet of A4 the smallest letters are {points, number} points high. Lay the map out closer, or in parts.',
} as const;

export interface LookAgain {
  code: keyof typeof LOOK_AGAIN;
  data: Readonly<Record<string, number>>;
  /** topics and links that it is about */
  marks: readonly string[];
}

/** Words beyond which a topic is a sentence, a fill that a printer makes black, and letters that can be read on paper. */
const [LONG, DARK, LEAST_POINTS] = [12, 0.18, 6];
/** The part of a sheet of A4 that is printed, lying, in points; a canvas unit is three quarters of one. */
const [SHEET, POINTS] = [{ width: 770, height: 520 }, 0.75];
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
  const points = pointsOnPaper(map, assignment);
  return [
    ...(waiting > 0 ? [{ code: 'waiting', data: { count: waiting }, marks: [] } as const] : []),
    ...found
      .filter(([, marks]) => marks.length > 0)
      .map(([code, marks]): LookAgain => ({ code, data: { count: marks.length }, marks })),
    ...(points < LEAST_POINTS ? [{ code: 'small', data: { points }, marks: [] } as const] : []),
  ];
}

/** How high the smallest letters of a map are when it is fitted to a sheet; whole halves of points. */
export function pointsOnPaper(map: TopicMap, { legend }: Assignment): number {
  const box = drawnBox(map, legend);
  if (!box) return Infinity;
  const fitted = Math.min(
    1,
    SHEET.width / POINTS / (box.right - box.left || 1),
    SHEET.height / POINTS / (box.bottom - box.top || 1),
  );
  const sizes = map.topics.map((topic) => topicStyle(topic, legend).fontSize);
  const hasWords = map.links.some((link) => !isBlank(link.phrase) && linkStyle(link, legend).width > 0);
  const smallest = Math.min(...sizes, ...(hasWords ? [PHRASE_SIZE] : []));
  return Math.round(smallest * POINTS * fitted * 2) / 2;
}
