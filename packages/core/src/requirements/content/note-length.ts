import { matchText } from '../../map/terms.js';
import type { Topic } from '../../map/types.js';
import { CLOSE } from '../../map/kinds.js';
import { allBut } from '../all-but.js';
import { requirementType } from '../types.js';
import type { Finding } from '../types.js';
import { blank, kindNames, ofThem, quoted } from '../words.js';

type Each = { branch: string; minWords: number; maxWords?: number };
type Params = { per: 'topic' | 'branch'; minWords: number; maxWords?: number; kinds?: string[]; each?: Each[] };

export const noteLength = requirementType<Params>({
  id: 'note-length',
  group: 'content',
  asks: ({ minWords }) => (minWords > 0 ? 'made' : 'kept'),
  params: {
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
  },
  sentence: ({ per, minWords, maxWords, kinds }, assignment) => [
    'The notes of every ',
    blank('per', per === 'topic' ? 'topic' : 'main branch'),
    ...(kinds ? [' (of the kind ', blank('kinds', kindNames(assignment, kinds)), ')'] : []),
    ' have ',
    ...(maxWords === undefined
      ? ['at least ', blank('minWords', minWords)]
      : [blank('minWords', minWords), ' to ', blank('maxWords', maxWords)]),
    ' words',
  ],
  messages: {
    share: ({ count, of }) => ofThem(count, of, 'as long as asked'),
    short: ({ text, words, min }) =>
      `The notes of ${quoted(text)} have ${words} words: write ${Number(min) - Number(words)} more.`,
    long: ({ text, words, max }) =>
      `The notes of ${quoted(text)} have ${words} words: cut ${Number(words) - Number(max)}.`,
  },
  check: ({ per, minWords, maxWords, kinds, each = [] }, { index, assignment }) => {
    const counted = index.topicsOf(kinds);
    const wordsIn = ({ note }: Topic): number => index.words.wordsOf(note ?? '').length;
    const limitsOf = (branch: Topic): { min: number; max: number | undefined } => {
      const own = each.find((one) => matchText(one.branch, assignment.terms, [branch], assignment.language));
      return own ? { min: own.minWords, max: own.maxWords } : { min: minWords, max: maxWords };
    };
    const units =
      per === 'topic'
        ? counted.map((topic) => ({ topic, members: [topic.id], words: wordsIn(topic), min: minWords, max: maxWords }))
        : index.mainBranches.map((topic) => {
            const words = counted
              .filter(({ id }) => index.branches.get(id)?.has(topic.id))
              .reduce((sum, one) => sum + wordsIn(one), 0);
            return { topic, members: [topic.id], words, ...limitsOf(topic) };
          });
    const evidence = units.flatMap(({ topic, members, words, min, max }): Finding[] => {
      const data = { text: topic.text, words };
      if (words < min - CLOSE) return [{ message: 'short', data: { ...data, min }, topics: members }];
      return max !== undefined && words > max + CLOSE
        ? [{ message: 'long', data: { ...data, max }, topics: members }]
        : [];
    });
    return allBut(evidence, units.length, per === 'topic' ? 'topics' : 'branches');
  },
});
