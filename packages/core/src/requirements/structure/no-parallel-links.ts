import { grouped } from '../../grouped.js';
import { requirementType } from '../types.js';
import { plural, quoted } from '../words.js';

export const noParallelLinks = requirementType({
  id: 'no-parallel-links',
  group: 'structure',
  asks: () => 'kept',
  params: {},
  sentence: () => ['No two topics are joined more than once'],
  messages: {
    none: ({ of }) => (of === 0 ? 'No links yet.' : 'Each pair is joined once.'),
    some: ({ pairs, of }) => `${of} links join ${plural(Number(pairs), 'pair')}.`,
    twice: ({ a, b, count }) => `${quoted(a)} and ${quoted(b)} are joined ${count} times: say it all on one link.`,
  },
  check: (_, { index }) => {
    const pairs = grouped(index.structuralLinks, ({ from, to }) => JSON.stringify([from, to].sort()));
    const of = index.structuralLinks.length;
    const repeated = [...pairs.values()].filter((links) => links.length > 1);
    return {
      fraction: of === 0 ? 1 : pairs.size / of,
      figures: { pairs: pairs.size, links: of },
      message: repeated.length ? 'some' : 'none',
      data: { pairs: pairs.size, of },
      evidence: repeated.map((links) => {
        const [a, b] = index.ends(links[0]!);
        return {
          message: 'twice',
          data: { a: a.text, b: b.text, count: links.length },
          links: links.map(({ id }) => id),
        };
      }),
    };
  },
});
