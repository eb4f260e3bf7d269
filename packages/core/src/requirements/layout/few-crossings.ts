import { Tally } from '../tally.js';
import { requirementType } from '../types.js';

export const fewCrossings = requirementType({
  id: 'few-crossings',
  group: 'layout',
  asks: () => 'kept',
  readsPlaces: true,
  params: { max: { type: 'number', default: 0, least: 0, whole: true } },
  sentence:
    '{max, plural, =0 {No links cross} one {At most <b-max>{max}</b-max> crossing of links} other {At most <b-max>{max}</b-max> crossings of links}}',
  messages: {
    none: 'None cross.',
    few: '{count, plural, one {1 crossing} other {{count} crossings}}.',
    many: '{count, plural, one {1 crossing} other {{count} crossings}}, {over} too many.',
    crossing: 'The link “{a} – {b}” crosses “{c} – {d}”: move a topic so that it does not.',
    crossings:
      'The link “{a} – {b}” crosses {count, plural, one {1 other} other {{count} others}}: bring its two topics closer.',
  },
  check: ({ max }, { index }) => {
    const n = index.crossings.length;
    const over = n > max;
    const tally = new Tally();
    for (const { links, at } of over ? index.crossings : []) {
      tally.add(links, () => {
        const [[a, b], [c, d]] = [index.ends(links[0]), index.ends(links[1])];
        return {
          code: 'crossing',
          data: { a: a.text, b: b.text, c: c.text, d: d.text },
          links: links.map(({ id }) => id),
          points: [at],
        };
      });
    }
    const evidence = tally.evidence({
      link: (link, count) => {
        const [a, b] = index.ends(link);
        return { code: 'crossings', data: { a: a.text, b: b.text, count }, links: [link.id] };
      },
    });
    return {
      fraction: over ? (max + 1) / (n + 1) : 1,
      figures: { crossings: n },
      code: over ? 'many' : n ? 'few' : 'none',
      data: { count: n, over: n - max },
      evidence,
    };
  },
});
