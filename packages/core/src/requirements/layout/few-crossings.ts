import { Tally } from '../tally.js';
import { requirementType } from '../types.js';
import { blank, plural, quoted } from '../words.js';

type Params = { max: number };

export const fewCrossings = requirementType<Params>({
  id: 'few-crossings',
  group: 'layout',
  asks: () => 'kept',
  readsPlaces: true,
  params: { max: { type: 'number', default: 0, least: 0, whole: true } },
  sentence: ({ max }) =>
    max === 0
      ? ['No links cross']
      : ['At most ', blank('max', max), max === 1 ? ' crossing of links' : ' crossings of links'],
  messages: {
    none: () => 'None cross.',
    few: ({ count }) => `${plural(Number(count), 'crossing')}.`,
    many: ({ count, max }) => `${plural(Number(count), 'crossing')}, ${Number(count) - Number(max)} too many.`,
    crossing: ({ a, b, c, d }) =>
      `The link ${quoted(`${a} – ${b}`)} crosses ${quoted(`${c} – ${d}`)}: move a topic so that it does not.`,
    crossings: ({ a, b, count }) =>
      `The link ${quoted(`${a} – ${b}`)} crosses ${plural(Number(count), 'other')}: bring its two topics closer.`,
  },
  check: ({ max }, { index }) => {
    const n = index.crossings.length;
    const over = n > max;
    const tally = new Tally();
    for (const { links, at } of over ? index.crossings : []) {
      tally.add(links, () => {
        const [[a, b], [c, d]] = [index.ends(links[0]), index.ends(links[1])];
        return {
          message: 'crossing',
          data: { a: a.text, b: b.text, c: c.text, d: d.text },
          links: links.map(({ id }) => id),
          points: [at],
        };
      });
    }
    const evidence = tally.evidence({
      link: (link, count) => {
        const [a, b] = index.ends(link);
        return { message: 'crossings', data: { a: a.text, b: b.text, count }, links: [link.id] };
      },
    });
    return {
      fraction: over ? (max + 1) / (n + 1) : 1,
      figures: { crossings: n },
      message: over ? 'many' : n ? 'few' : 'none',
      data: { count: n, max },
      evidence,
    };
  },
});
