import { connectedParts } from '../../map-index/graph.js';
import { share } from '../fractions.js';
import { requirementType } from '../types.js';

export const allConnected = requirementType({
  id: 'all-connected',
  group: 'structure',
  asks: () => 'made',
  params: {},
  sentence: 'Everything is joined into one map',
  messages: {
    all: '{of, plural, =1 {One topic so far.} other {All {of} topics are joined.}}',
    some: '{loose, plural, one {1 topic} other {{loose} topics}} of {of} {loose, plural, one {is} other {are}} apart from the rest.',
    alone: 'Nothing is linked to “{text}”: link it in.',
    apart: '“{text}” and {others, plural, one {1 topic} other {{others} topics}} beside it stand apart: link them in.',
  },
  check: (_, { index }) => {
    const parts = connectedParts(
      index.structuralTopics.map(({ id }) => id),
      index.neighbours,
    );
    const largest = parts.reduce<readonly string[]>((best, part) => (part.length > best.length ? part : best), []);
    const of = index.structuralTopics.length;
    const evidence = parts
      .filter((part) => part !== largest)
      .map((part) => ({
        code: part.length === 1 ? 'alone' : 'apart',
        data: { text: index.topicById.get(part[0]!)?.text ?? '', others: part.length - 1 },
        topics: [...part],
      }));
    const loose = of - largest.length;
    return {
      fraction: share(largest.length, of),
      figures: { joined: largest.length, topics: of },
      code: loose ? 'some' : 'all',
      data: { loose, of },
      evidence,
    };
  },
});
