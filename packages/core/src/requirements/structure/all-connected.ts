import { connectedParts } from '../../map-index/graph.js';
import { share } from '../fractions.js';
import { requirementType } from '../types.js';
import { plural, quoted } from '../words.js';

export const allConnected = requirementType({
  id: 'all-connected',
  group: 'structure',
  asks: () => 'made',
  params: {},
  sentence: () => ['Everything is joined into one map'],
  messages: {
    all: ({ of }) => (of === 1 ? 'One topic so far.' : `All ${of} topics are joined.`),
    some: ({ loose, of }) =>
      `${plural(Number(loose), 'topic')} of ${of} ${loose === 1 ? 'is' : 'are'} apart from the rest.`,
    alone: ({ text }) => `Nothing is linked to ${quoted(String(text))}: link it in.`,
    apart: ({ text, count }) =>
      `${quoted(String(text))} and ${plural(Number(count) - 1, 'topic')} beside it stand apart: link them in.`,
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
        message: part.length === 1 ? 'alone' : 'apart',
        data: { text: index.topicById.get(part[0]!)?.text ?? '', count: part.length },
        topics: [...part],
      }));
    const loose = of - largest.length;
    return {
      fraction: share(largest.length, of),
      figures: { joined: largest.length, topics: of },
      message: loose ? 'some' : 'all',
      data: { loose, of },
      evidence,
    };
  },
});
