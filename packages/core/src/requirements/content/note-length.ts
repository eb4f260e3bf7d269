import { matchText } from '../../map/terms.js';
import type { MapIndex } from '../../map-index/map-index.js';
import type { Assignment, Topic } from '../../map/types.js';
import { CLOSE } from '../../map/kinds.js';
import { allBut } from '../all-but.js';
import { requirementType } from '../types.js';
import type { Finding, ParamRule, ParamsOf } from '../types.js';
import { kindNames, ofThem } from '../words.js';

const PARAMS = {
  per: { type: 'choice', options: ['topic', 'branch'], default: 'topic' },
  minWords: { type: 'number', default: 30, least: 0, whole: true },
  maxWords: { type: 'number', least: 1, whole: true },
  kinds: { type: 'kinds' },
  each: {
    type: 'list',
    of: {
      branch: { type: 'text', required: true },
      minWords: { type: 'number', least: 0, whole: true, required: true },
      maxWords: { type: 'number', least: 1, whole: true },
    },
  },
} as const satisfies Record<string, ParamRule>;

/** What is asked of notes. */
export type NoteParams = ParamsOf<typeof PARAMS>;

/** What notes are counted over: each topic, or each main branch with all topics below it. */
export interface NoteUnit {
  topic: Topic;
  members: string[];
  words: number;
  min: number;
  max: number | undefined;
}

export function noteUnits(
  { per, minWords, maxWords, kinds, each = [] }: NoteParams,
  index: MapIndex,
  assignment: Assignment,
): NoteUnit[] {
  const counted = index.topicsOf(kinds);
  const wordsIn = ({ note }: Topic): number => index.words.wordsOf(note ?? '').length;
  const limitsOf = (branch: Topic): { min: number; max: number | undefined } => {
    const own = each.find((one) => matchText(one.branch, assignment.terms, [branch], assignment.language));
    return own ? { min: own.minWords, max: own.maxWords } : { min: minWords, max: maxWords };
  };
  if (per === 'topic')
    return counted.map((topic) => ({
      topic,
      members: [topic.id],
      words: wordsIn(topic),
      min: minWords,
      max: maxWords,
    }));
  return index.mainBranches.map((topic) => {
    const words = counted
      .filter(({ id }) => index.branches.get(id)?.has(topic.id))
      .reduce((sum, one) => sum + wordsIn(one), 0);
    return { topic, members: [topic.id], words, ...limitsOf(topic) };
  });
}

export const noteLength = requirementType({
  id: 'note-length',
  group: 'content',
  asks: ({ minWords }) => (minWords > 0 ? 'made' : 'kept'),
  asksNothing: ({ minWords, maxWords, each = [] }) =>
    [{ minWords, maxWords }, ...each].every((one) => one.minWords === 0 && one.maxWords === undefined),
  params: PARAMS,
  sentence:
    'The notes of every <b-per>{per, select, topic {topic} other {main branch}}</b-per>' +
    '{kinds, select, undefined {} other { (of the kind <b-kinds>{kinds}</b-kinds>)}}' +
    ' have {maxWords, select, undefined {at least <b-minWords>{minWords}</b-minWords>} other {<b-minWords>{minWords}</b-minWords> to <b-maxWords>{maxWords}</b-maxWords>}} words',
  shown: ({ kinds }, assignment) => ({ kinds: kindNames(assignment, kinds) }),
  messages: {
    share: ofThem('as long as asked'),
    short: 'The notes of “{text}” have {words} words: write {missing} more.',
    long: 'The notes of “{text}” have {words} words: cut {over}.',
  },
  check: (params, { index, assignment }) => {
    const units = noteUnits(params, index, assignment);
    const evidence = units.flatMap(({ topic, members, words, min, max }): Finding[] => {
      const data = { text: topic.text, words };
      if (words < min - CLOSE) return [{ code: 'short', data: { ...data, missing: min - words }, topics: members }];
      return max !== undefined && words > max + CLOSE
        ? [{ code: 'long', data: { ...data, over: words - max }, topics: members }]
        : [];
    });
    return allBut(evidence, units.length, params.per === 'topic' ? 'topics' : 'branches');
  },
});
