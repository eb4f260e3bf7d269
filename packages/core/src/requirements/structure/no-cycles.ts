import { grouped } from '../../grouped.js';
import { requirementType } from '../types.js';
import { listed, quoted } from '../words.js';

export const noCycles = requirementType({
  id: 'no-cycles',
  group: 'structure',
  asks: () => 'kept',
  params: {},
  sentence: () => ['No arrows lead round in a circle'],
  messages: {
    none: () => 'Following the arrows, one always comes to an end.',
    some: ({ count }) => (count === 1 ? 'One circle found.' : `${count} circles found.`),
    circle: ({ texts }) => `The arrows between ${texts} lead round: turn one, or take it away.`,
  },
  check: (_, { index }) => {
    const partOf = new Map(index.cycles.flatMap((part) => part.map((id) => [id, part] as const)));
    const inside = grouped(
      index.structuralLinks.filter((link) => index.arrowOf(link) === 'forward'),
      ({ from, to }) => (partOf.get(from) === partOf.get(to) ? partOf.get(from) : undefined),
    );
    const evidence = index.cycles.map((part) => {
      const links = inside.get(part) ?? [];
      const texts = part.slice(0, 4).map((id) => quoted(index.topicById.get(id)!.text));
      return {
        message: 'circle',
        data: { texts: part.length > 4 ? `${texts.join(', ')} and others` : listed(texts) },
        topics: [...part],
        links: links.map(({ id }) => id),
      };
    });
    const count = evidence.length;
    return {
      fraction: count === 0 ? 1 : 0,
      figures: { circles: count },
      message: count ? 'some' : 'none',
      data: { count },
      evidence,
    };
  },
});
