import { grouped } from '../../grouped.js';
import { requirementType } from '../types.js';

export const noParallelLinks = requirementType({
  id: 'no-parallel-links',
  group: 'structure',
  asks: () => 'kept',
  params: {},
  sentence: 'No two topics are joined more than once',
  messages: {
    none: '{of, plural, =0 {No links yet.} other {Each pair is joined once.}}',
    some: '{of} links join {pairs, plural, one {1 pair} other {{pairs} pairs}}.',
    twice: '“{a}” and “{b}” are joined {count} times: say it all on one link.',
  },
  check: (_, { index }) => {
    const pairs = grouped(index.structuralLinks, ({ from, to }) => JSON.stringify([from, to].sort()));
    const of = index.structuralLinks.length;
    const repeated = [...pairs.values()].filter((links) => links.length > 1);
    return {
      fraction: of === 0 ? 1 : pairs.size / of,
      figures: { pairs: pairs.size, links: of },
      code: repeated.length ? 'some' : 'none',
      data: { pairs: pairs.size, of },
      evidence: repeated.map((links) => {
        const [a, b] = index.ends(links[0]!);
        return {
          code: 'twice',
          data: { a: a.text, b: b.text, count: links.length },
          links: links.map(({ id }) => id),
        };
      }),
    };
  },
});
