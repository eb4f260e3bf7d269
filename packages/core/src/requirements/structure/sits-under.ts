import { CLOSE } from '../../map/kinds.js';
import { neighboursOf } from './links-per-topic.js';
import { allBut } from '../all-but.js';
import { requirementType } from '../types.js';
import { blank, kindNames, ofThem, quoted } from '../words.js';

type Params = { kinds: string[]; parents: string[]; min: number; direction: 'either' | 'in' };

export const sitsUnder = requirementType<Params>({
  id: 'sits-under',
  group: 'structure',
  asks: () => 'made',
  params: {
    kinds: { type: 'kinds', required: true },
    parents: { type: 'kinds', required: true },
    min: { type: 'number', default: 1, least: 0, whole: true },
    direction: { type: 'choice', options: ['either', 'in'], default: 'either' },
  },
  sentence: ({ kinds, parents, min, direction }, assignment) => [
    'Every ',
    blank('kinds', kindNames(assignment, kinds)),
    ' is ',
    blank('direction', direction === 'in' ? 'pointed at by' : 'tied to'),
    ' at least ',
    blank('min', min),
    ' ',
    blank('parents', kindNames(assignment, parents)),
  ],
  messages: {
    share: ({ count, of }) => ofThem(count, of, 'tied as asked'),
    loose: ({ text, count, parents }) =>
      `${quoted(text)} has ${count === 0 ? 'none' : `only ${count}`}: link it to a ${parents} it belongs to.`,
  },
  check: ({ kinds, parents, min, direction }, { index, assignment }) => {
    const topics = index.topicsOf(kinds);
    const countOf = new Map(
      topics.map((topic) => [
        topic.id,
        [...neighboursOf(topic, index, direction)].filter((id) =>
          parents.includes(index.kindOf(index.topicById.get(id)!)?.id ?? ''),
        ).length,
      ]),
    );
    const others = topics.filter(({ id }) => countOf.get(id)! < min - CLOSE);
    return allBut(
      others.map(({ id, text }) => ({
        message: 'loose',
        data: { text, count: countOf.get(id)!, parents: kindNames(assignment, parents) },
        topics: [id],
      })),
      topics.length,
      'topics',
    );
  },
});
