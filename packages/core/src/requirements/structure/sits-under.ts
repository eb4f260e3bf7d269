import { CLOSE } from '../../map/kinds.js';
import { neighboursOf, otherWayRound } from './links-per-topic.js';
import { allBut } from '../all-but.js';
import { withNearly } from '../nearly.js';
import { requirementType } from '../types.js';
import { kindNames, ofThem } from '../words.js';

export const sitsUnder = requirementType({
  id: 'sits-under',
  group: 'structure',
  asks: () => 'made',
  asksNothing: ({ min }) => min === 0,
  params: {
    kinds: { type: 'kinds', required: true },
    parents: { type: 'kinds', required: true },
    min: { type: 'number', default: 1, least: 0, whole: true },
    direction: { type: 'choice', options: ['either', 'in'], default: 'either' },
  },
  sentence:
    'Every <b-kinds>{kinds}</b-kinds> is <b-direction>{direction, select, in {pointed at by} other {tied to}}</b-direction> at least <b-min>{min}</b-min> <b-parents>{parents}</b-parents>',
  shown: ({ kinds, parents }, assignment) => ({
    kinds: kindNames(assignment, kinds)?.anyOf,
    parents: kindNames(assignment, parents),
  }),
  messages: {
    share: ofThem('tied as asked'),
    loose: '“{text}” has {count, plural, =0 {none} other {only {count}}}: link it to a {parents} it belongs to.',
    otherWay: '“{text}” and “{other}” are joined, and the arrow does not lead the way that counts.',
    otherKind: '“{text}” is tied to “{other}”, which is no {parents}.',
  },
  check: ({ kinds, parents, min, direction }, { index, assignment }) => {
    const topics = index.topicsOf(kinds);
    const isParent = (id: string): boolean => parents.includes(index.kindOf(index.topicById.get(id)!)?.id ?? '');
    const countOf = new Map(
      topics.map((topic) => [topic.id, [...neighboursOf(topic, index, direction)].filter(isParent).length]),
    );
    const others = topics.filter(({ id }) => countOf.get(id)! < min - CLOSE);
    const verdict = allBut(
      others.map(({ id, text }) => ({
        code: 'loose',
        data: { text, count: countOf.get(id)!, parents: kindNames(assignment, parents) },
        topics: [id],
      })),
      topics.length,
      'topics',
    );
    return withNearly(verdict, () =>
      others.flatMap((topic) => [
        ...otherWayRound(topic, index, direction).filter(({ topics: [, id = ''] = [] }) => isParent(id)),
        ...[...neighboursOf(topic, index, direction)]
          .filter((id) => !isParent(id))
          .map((id) => ({
            code: 'otherKind',
            data: { text: topic.text, other: index.topicById.get(id)!.text, parents: kindNames(assignment, parents) },
            topics: [topic.id, id],
          })),
      ]),
    );
  },
});
