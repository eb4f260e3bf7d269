import { grouped } from '../../grouped.js';
import { requirementType } from '../types.js';

export const noCycles = requirementType({
  id: 'no-cycles',
  group: 'structure',
  asks: () => 'kept',
  params: {},
  sentence: 'No arrows lead round in a circle',
  messages: {
    none: 'Following the arrows, one always comes to an end.',
    some: '{count, plural, =1 {One circle} other {{count} circles}} found.',
    circle: 'The arrows between {texts} lead round: turn one, or take it away.',
    others: 'others',
  },
  check: (_, { index }) => {
    const partOf = new Map(index.cycles.flatMap((part) => part.map((id) => [id, part] as const)));
    const inside = grouped(
      index.structuralLinks.filter((link) => index.arrowOf(link) === 'forward'),
      ({ from, to }) => (partOf.get(from) === partOf.get(to) ? partOf.get(from) : undefined),
    );
    const evidence = index.cycles.map((part) => {
      const links = inside.get(part) ?? [];
      const texts = part.slice(0, 4).map((id) => `“${index.topicById.get(id)!.text}”`);
      return {
        code: 'circle',
        data: { texts: part.length > 4 ? [...texts, { code: 'others' }] : texts },
        topics: [...part],
        links: links.map(({ id }) => id),
      };
    });
    const count = evidence.length;
    return {
      fraction: count === 0 ? 1 : 0,
      figures: { circles: count },
      code: count ? 'some' : 'none',
      data: { count },
      evidence,
    };
  },
});
