import { colourDistance } from '../../map/colour.js';
import { CLOSE } from '../../map/kinds.js';
import { kindOfLink, linkStyle } from '../../map/style.js';
import { allBut } from '../all-but.js';
import { requirementType } from '../types.js';
import type { Finding } from '../types.js';
import { blank, kindNames, linkKindNames, listed, ofThem, quoted } from '../words.js';

type Params = { linkKind: string; from?: string[]; to?: string[]; tolerance: number };

export const linkStyleAsKind = requirementType<Params>({
  id: 'link-style',
  group: 'style',
  asks: ({ from, to }) => (from || to ? 'made' : 'kept'),
  params: {
    linkKind: { type: 'linkKind', required: true },
    from: { type: 'kinds' },
    to: { type: 'kinds' },
    tolerance: { type: 'number', default: 6, least: 0, most: 100 },
  },
  sentence: ({ linkKind, from, to }, assignment) => [
    'Every link',
    ...(from ? [' from a ', blank('from', kindNames(assignment, from))] : []),
    ...(to ? [' to a ', blank('to', kindNames(assignment, to))] : []),
    ' is drawn as ',
    blank('linkKind', linkKindNames(assignment, [linkKind])),
  ],
  messages: {
    share: ({ count, of }) => ofThem(count, of, 'drawn so'),
    wrong: ({ a, b, what }) => `The link between ${quoted(a)} and ${quoted(b)} has another ${what}.`,
  },
  check: ({ linkKind, from, to, tolerance }, { index, assignment: { legend } }) => {
    const kind = kindOfLink(legend, linkKind);
    const links = index.map.links.filter((link) => {
      if (!from && !to) return link.kind === linkKind;
      const [a, b] = index.ends(link).map((topic) => index.kindOf(topic)?.id ?? '');
      return (!from || from.includes(a!)) && (!to || to.includes(b!));
    });
    const evidence = links.flatMap((link): Finding[] => {
      const style = linkStyle(link, legend);
      const off = [
        ...(kind?.route !== undefined && style.route !== kind.route ? ['path'] : []),
        ...(kind?.dash !== undefined && style.dash !== kind.dash ? ['stroke'] : []),
        ...(kind?.arrow !== undefined && style.arrow !== kind.arrow ? ['arrow'] : []),
        ...(kind?.width !== undefined && style.width < kind.width - CLOSE ? ['width'] : []),
        ...(kind?.colour !== undefined && colourDistance(style.colour, kind.colour) > tolerance + CLOSE
          ? ['colour']
          : []),
      ];
      const [a, b] = index.ends(link);
      return off.length === 0
        ? []
        : [{ message: 'wrong', data: { a: a.text, b: b.text, what: listed(off) }, links: [link.id] }];
    });
    return allBut(evidence, links.length, 'links');
  },
});
