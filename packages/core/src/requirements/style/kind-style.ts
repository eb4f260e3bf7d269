import { colourDistance } from '../../map/colour.js';
import { CLOSE, effectiveKind } from '../../map/kinds.js';
import { topicStyle } from '../../map/style.js';
import type { Topic, TopicKind } from '../../map/types.js';
import { allBut } from '../all-but.js';
import type { CheckInput, Finding } from '../types.js';
import { requirementType } from '../types.js';
import { blank, kindNames, listed, ofThem, quoted } from '../words.js';

type Params = { kinds?: string[]; tolerance: number; shape: boolean; fill: boolean; outline: boolean };

const PLAIN_OUTLINE = '#333333';

/** The kind each topic is to be compared with; null where there is none to be found. */
function comparedKinds({ index, assignment }: CheckInput): Map<string, TopicKind | null> {
  const { topics } = index.map;
  const { legend, terms, starter, styleMode } = assignment;
  if (styleMode === 'guided')
    return new Map(
      topics.flatMap((topic) => {
        const kind = index.kindOf(topic);
        return kind ? [[topic.id, kind]] : [];
      }),
    );
  const kindById = new Map(legend.topicKinds.map((kind) => [kind.id, kind]));
  const termKinds = new Map<string, TopicKind>();
  index.termMatches.forEach((match, i) => {
    const kind = kindById.get(terms[i]?.kind ?? '');
    if (match && kind) termKinds.set(match.topic.id, kind);
  });
  const starterKinds = new Map((starter?.topics ?? []).map((topic) => [topic.id, effectiveKind(topic, assignment)]));
  const nearest = (topic: Topic): TopicKind | null => {
    const style = topicStyle(topic, legend);
    const own = legend.topicKinds.filter(({ givenBy, shape }) => givenBy === 'student' && shape === style.shape);
    return own.reduce<TopicKind | null>(
      (best, kind) =>
        best && colourDistance(best.fill, style.fill) <= colourDistance(kind.fill, style.fill) ? best : kind,
      null,
    );
  };
  return new Map(
    topics.map((topic) => [
      topic.id,
      termKinds.get(topic.id) ?? starterKinds.get(topic.origin ?? '') ?? nearest(topic),
    ]),
  );
}

export const kindStyle = requirementType<Params>({
  id: 'kind-style',
  group: 'style',
  asks: () => 'kept',
  params: {
    kinds: { type: 'kinds' },
    tolerance: { type: 'number', default: 6, least: 0, most: 100 },
    shape: { type: 'boolean', default: true },
    fill: { type: 'boolean', default: true },
    outline: { type: 'boolean', default: false },
  },
  sentence: ({ kinds, shape, fill, outline }, assignment) => [
    'Every ',
    kinds ? blank('kinds', kindNames(assignment, kinds)) : 'topic',
    ...(shape || fill || outline ? [' is drawn in its kind’s '] : [' is of a kind of the legend']),
    ...[
      ...(shape ? [blank('shape', 'shape')] : []),
      ...(fill ? [blank('fill', 'fill')] : []),
      ...(outline ? [blank('outline', 'outline')] : []),
    ].flatMap((part, i, all) => (i === 0 ? [part] : [i === all.length - 1 ? ' and ' : ', ', part])),
  ],
  messages: {
    share: ({ count, of }) => ofThem(count, of, 'drawn so'),
    wrong: ({ text, kind, what }) =>
      `${quoted(text)} has lost the ${what} of a ${kind}: give it the looks of its kind.`,
    none: ({ text }) => `${quoted(text)} looks like no kind of the legend: give it the shape and fill of one.`,
  },
  check: ({ kinds, tolerance, shape, fill, outline }, input) => {
    const { index, assignment } = input;
    const compared = comparedKinds(input);
    const topics = index.map.topics.filter(({ id }) => {
      const kind = compared.get(id);
      return kind !== undefined && (!kinds || (kind !== null && kinds.includes(kind.id)));
    });
    const evidence = topics.flatMap((topic): Finding[] => {
      const kind = compared.get(topic.id) ?? null;
      if (!kind) return [{ message: 'none', data: { text: topic.text }, topics: [topic.id] }];
      const style = topicStyle(topic, assignment.legend);
      const far = (a: string, b: string): boolean => colourDistance(a, b) > tolerance + CLOSE;
      const lost = [
        ...(shape && style.shape !== kind.shape ? ['shape'] : []),
        ...(fill && far(style.fill, kind.fill) ? ['fill'] : []),
        ...(outline && far(style.outline, kind.outline ?? PLAIN_OUTLINE) ? ['outline'] : []),
      ];
      return lost.length === 0
        ? []
        : [{ message: 'wrong', data: { text: topic.text, kind: kind.name, what: listed(lost) }, topics: [topic.id] }];
    });
    return allBut(evidence, topics.length, 'topics');
  },
});
