import { CLOSE } from '../../map/kinds.js';
import { lengthOf } from '../../geometry/points.js';
import { allBut } from '../all-but.js';
import { requirementType } from '../types.js';
import { blank, ofThem, quoted } from '../words.js';

type Params = { max: number };

export const shortLinks = requirementType<Params>({
  id: 'short-links',
  group: 'layout',
  asks: () => 'kept',
  readsPlaces: true,
  params: { max: { type: 'number', default: 320, least: 1 } },
  sentence: ({ max }) => ['No link is longer than ', blank('max', max), ' units'],
  messages: {
    none: () => 'No links yet.',
    share: ({ count, of }) => ofThem(count, of, 'short enough'),
    long: ({ a, b, length }) =>
      `The link between ${quoted(a)} and ${quoted(b)} is ${length} long: move the two closer.`,
  },
  check: ({ max }, { index }) => {
    const lengths = index.lines.map(({ link, part }) => ({ link, length: lengthOf(part.points) }));
    const long = lengths.filter(({ length }) => length > max + CLOSE);
    return allBut(
      long.map(({ link, length }) => {
        const [a, b] = index.ends(link);
        return { message: 'long', data: { a: a.text, b: b.text, length: Math.round(length) }, links: [link.id] };
      }),
      lengths.length,
      'links',
      'none',
    );
  },
});
