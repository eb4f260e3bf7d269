import { effectiveKind } from '../../map/kinds.js';
import type { Topic } from '../../map/types.js';
import { share } from '../fractions.js';
import { requirementType } from '../types.js';
import type { Finding } from '../types.js';
import { kindNames, NOT_GIVEN } from '../words.js';

export const rightKind = requirementType({
  id: 'right-kind',
  group: 'content',
  asks: () => 'kept',
  params: {},
  sentence: 'Every topic has the right kind',
  messages: {
    all: '{of, plural, =1 {The one topic has.} other {All {of} have.}}',
    some: '{count} of {of} have.',
    bare: '“{text}” has no kind: make it {should}.',
    bareOwn: `“{text}” ${NOT_GIVEN}`,
    wrong: '“{text}” is marked {kind}: make it {should}.',
    wrongOwn: `“{text}” is marked {kind} and ${NOT_GIVEN}`,
    wrongNone: '“{text}” is marked {kind}: it was given without a kind.',
  },
  check: (_, { index, assignment }) => {
    const { terms, starter, legend } = assignment;
    const { topics } = index.map;
    const termKinds = new Map<string, string>();
    index.termMatches.forEach((match, i) => {
      const kind = terms[i]?.kind;
      if (match && kind != null) termKinds.set(match.topic.id, kind);
    });
    const starterKinds = new Map(
      starter?.topics.map((topic) => [topic.id, effectiveKind(topic, assignment)?.id ?? null]),
    );
    const own = legend.topicKinds.filter((kind) => kind.givenBy === 'student').map((kind) => kind.id);
    /** the kinds a topic may have; null stands for none */
    const allowed = (topic: Topic): readonly (string | null)[] => {
      const term = termKinds.get(topic.id);
      if (term !== undefined) return [term];
      const given = topic.origin === undefined ? undefined : starterKinds.get(topic.origin);
      return given !== undefined ? [given] : own;
    };
    const evidence = topics.flatMap((topic): Finding[] => {
      const kind = index.kindOf(topic);
      if (kind?.root && topic === index.root) return [];
      const right = allowed(topic);
      if (right.includes(kind?.id ?? null)) return [];
      const names = right.flatMap((id) => (id === null ? [] : kindNames(assignment, [id])!.anyOf));
      const ending = right.length === 0 ? 'Own' : names.length === 0 ? 'None' : '';
      const code = `${kind ? 'wrong' : 'bare'}${ending}`;
      return [
        {
          code,
          data: { text: topic.text, ...(kind && { kind: kind.name }), should: { anyOf: names } },
          topics: [topic.id],
        },
      ];
    });
    const of = topics.length;
    const count = of - evidence.length;
    return {
      fraction: share(count, of),
      figures: { right: count, topics: of },
      code: count === of ? 'all' : 'some',
      data: { count, of },
      evidence,
    };
  },
});
