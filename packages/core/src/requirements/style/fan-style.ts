import { colourDistance } from '../../map/colour.js';
import { CLOSE } from '../../map/kinds.js';
import { linkStyle } from '../../map/style.js';
import { requirementType } from '../types.js';
import { ofThem, partOf } from '../words.js';

/** How far apart (CIEDE2000) the colours of two crossing fans must be. */
const APART = 10;

export const fanStyle = requirementType({
  id: 'fan-style',
  group: 'style',
  asks: () => 'kept',
  looksOnly: true,
  readsPlaces: true,
  params: {
    minFan: { type: 'number', default: 3, least: 1, whole: true },
    when: { type: 'choice', options: ['crossing', 'always'], default: 'crossing' },
    minWidth: { type: 'number', default: 2.5, least: 0.1 },
    distinct: { type: 'boolean', default: true },
  },
  sentence:
    'Where a topic sends out <b-minFan>{minFan}</b-minFan> links or more' +
    '{when, select, crossing { <b-when>through a crowd</b-when>} other {}}' +
    ', they share one colour, at least <b-minWidth>{minWidth}</b-minWidth> wide' +
    '{distinct, select, true {, <b-distinct>apart from those they cross</b-distinct>} other {}}',
  messages: {
    none: 'No topic sends out so many.',
    share: ofThem('easy to follow'),
    mixed: 'The links out of “{text}” have several colours: give all of them one.',
    thin: 'The links out of “{text}” are thin for such a crowd: make all of them wider.',
    alike: 'The links out of “{text}” look like those of “{other}”, which they cross: give them another colour.',
  },
  check: ({ minFan, when, minWidth, distinct }, { index, assignment: { legend } }) => {
    const crossing = new Set(index.crossings.flatMap(({ links }) => links.map(({ id }) => id)));
    const busy = index.map.topics
      .map((topic) => ({ topic, links: index.outLinks.get(topic.id)! }))
      .filter(({ links }) => links.length >= minFan && (when === 'always' || links.some(({ id }) => crossing.has(id))));
    const looks = new Map(
      busy.flatMap(({ links }) => links.map((link) => [link.id, linkStyle(link, legend)] as const)),
    );
    type Fan = (typeof busy)[number];
    const colourOf = ({ links }: Fan): string => looks.get(links[0]!.id)!.colour;
    const fansOf = new Map<string, Fan[]>();
    for (const fan of busy) for (const { id } of fan.links) fansOf.set(id, [...(fansOf.get(id) ?? []), fan]);
    /** For each fan, those that one of its links crosses. */
    const crossed = new Map<Fan, Set<Fan>>(busy.map((fan) => [fan, new Set()]));
    for (const {
      links: [one, other],
    } of index.crossings) {
      for (const a of fansOf.get(one.id) ?? []) {
        for (const b of fansOf.get(other.id) ?? []) {
          crossed.get(a)!.add(b);
          crossed.get(b)!.add(a);
        }
      }
    }
    const faults = busy.flatMap((fan) => {
      const { topic, links } = fan;
      const styles = links.map(({ id }) => looks.get(id)!);
      const alike = distinct
        ? [...crossed.get(fan)!].find(
            (other) => other !== fan && colourDistance(colourOf(fan), colourOf(other)) < APART - CLOSE,
          )
        : undefined;
      const code = styles.some(({ colour }) => colour.toLowerCase() !== styles[0]!.colour.toLowerCase())
        ? 'mixed'
        : styles.some(({ width }) => width < minWidth - CLOSE)
          ? 'thin'
          : alike
            ? 'alike'
            : null;
      return code
        ? [{ code, data: { text: topic.text, other: alike?.topic.text ?? '' }, links: links.map(({ id }) => id) }]
        : [];
    });
    const [count, of] = [busy.length - faults.length, busy.length];
    return {
      fraction: of === 0 ? 1 : count / of,
      figures: { count, busy: of },
      code: of === 0 ? 'none' : 'share',
      data: partOf(count, of),
      evidence: faults,
    };
  },
});
