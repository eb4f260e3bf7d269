import { CLOSE } from '../../map/kinds.js';
import { lengthOf } from '../../geometry/points.js';
import { allBut } from '../all-but.js';
import { requirementType } from '../types.js';
import { ofThem } from '../words.js';

export const shortLinks = requirementType({
  id: 'short-links',
  group: 'layout',
  asks: () => 'kept',
  readsPlaces: true,
  params: { max: { type: 'number', default: 320, least: 1 } },
  sentence: 'No link is longer than <b-max>{max}</b-max> units',
  messages: {
    none: 'No links yet.',
    share: ofThem('short enough'),
    long: 'The link between “{a}” and “{b}” is {length} long: move the two closer.',
  },
  check: ({ max }, { index }) => {
    const lengths = index.lines.map(({ link, part }) => ({ link, length: lengthOf(part.points) }));
    const long = lengths.filter(({ length }) => length > max + CLOSE);
    return allBut(
      long.map(({ link, length }) => {
        const [a, b] = index.ends(link);
        return { code: 'long', data: { a: a.text, b: b.text, length: Math.round(length) }, links: [link.id] };
      }),
      lengths.length,
      'links',
      'none',
    );
  },
});
