import { colourDistance } from '../../map/colour.js';
import { CLOSE, effectiveKind } from '../../map/kinds.js';
import { topicStyle } from '../../map/style.js';
import type { Topic, TopicKind } from '../../map/types.js';
import { allBut } from '../all-but.js';
import type { CheckInput, Finding } from '../types.js';
import { requirementType } from '../types.js';
import { kindNames, NOT_GIVEN, ofThem } from '../words.js';

const PLAIN_OUTLINE = '#333333';

/** Which of the three are asked for, in one word by which a sentence lists them: "shape_fill". */
const askedOf = (looks: Record<'shape' | 'fill' | 'outline', boolean>): string =>
  Object.entries(looks)
    .filter(([, isAsked]) => isAsked)
    .map(([name]) => name)
    .join('_') || 'none';

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

export const kindStyle = requirementType({
  id: 'kind-style',
  group: 'style',
  asks: () => 'kept',
  asksNothing: ({ shape, fill, outline }, { styleMode }) => styleMode === 'guided' && !shape && !fill && !outline,
  looksOnly: true,
  params: {
    kinds: { type: 'kinds' },
    tolerance: { type: 'number', default: 6, least: 0, most: 100 },
    shape: { type: 'boolean', default: true },
    fill: { type: 'boolean', default: true },
    outline: { type: 'boolean', default: false },
  },
  sentence:
    'Every {kinds, select, undefined {topic} other {<b-kinds>{kinds}</b-kinds>}} is' +
    ' {asked, select, none {of a kind of the legend} other {drawn in its kind’s }}' +
    '{shape, select, true {<b-shape>shape</b-shape>} other {}}{asked, select, shape_fill { and } shape_outline { and } shape_fill_outline {, } other {}}' +
    '{fill, select, true {<b-fill>fill</b-fill>} other {}}{asked, select, fill_outline { and } shape_fill_outline { and } other {}}' +
    '{outline, select, true {<b-outline>outline</b-outline>} other {}}',
  shown: ({ kinds, shape, fill, outline }, assignment) => ({
    kinds: kindNames(assignment, kinds)?.anyOf,
    asked: askedOf({ shape, fill, outline }),
  }),
  messages: {
    share: ofThem('drawn so'),
    wrong: '“{text}” has lost the {what} of the kind {kind}: give it the looks of its kind.',
    none: '“{text}” looks like no kind that is for ideas of your own: give it the shape and fill of {should}.',
    noneOwn: `“{text}” ${NOT_GIVEN}`,
    shape: 'shape',
    fill: 'fill',
    outline: 'outline',
  },
  check: ({ kinds, tolerance, shape, fill, outline }, input) => {
    const { index, assignment } = input;
    const compared = comparedKinds(input);
    const topics = index.map.topics.filter(({ id }) => {
      const kind = compared.get(id);
      return kind !== undefined && (!kinds || (kind !== null && kinds.includes(kind.id)));
    });
    const own = assignment.legend.topicKinds.filter(({ givenBy }) => givenBy === 'student');
    const unlike =
      own.length > 0 ? { code: 'none', data: { should: { anyOf: own.map(({ name }) => name) } } } : { code: 'noneOwn' };
    const evidence = topics.flatMap((topic): Finding[] => {
      const kind = compared.get(topic.id) ?? null;
      if (!kind) return [{ ...unlike, data: { ...unlike.data, text: topic.text }, topics: [topic.id] }];
      const style = topicStyle(topic, assignment.legend);
      const far = (a: string, b: string): boolean => colourDistance(a, b) > tolerance + CLOSE;
      const lost = [
        ...(shape && style.shape !== kind.shape ? ['shape'] : []),
        ...(fill && far(style.fill, kind.fill) ? ['fill'] : []),
        ...(outline && far(style.outline, kind.outline ?? PLAIN_OUTLINE) ? ['outline'] : []),
      ];
      return lost.length === 0
        ? []
        : [
            {
              code: 'wrong',
              data: { text: topic.text, kind: kind.name, what: lost.map((code) => ({ code })) },
              topics: [topic.id],
            },
          ];
    });
    return allBut(evidence, topics.length, 'topics');
  },
});
