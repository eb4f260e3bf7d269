import { colourDistance } from '../../map/colour.js';
import { CLOSE } from '../../map/kinds.js';
import { kindOfLink, linkStyle } from '../../map/style.js';
import { allBut } from '../all-but.js';
import { requirementType } from '../types.js';
import type { Finding } from '../types.js';
import { kindNames, linkKindNames, ofThem } from '../words.js';

export const linkStyleAsKind = requirementType({
  id: 'link-style',
  group: 'style',
  asks: ({ from, to }) => (from || to ? 'made' : 'kept'),
  asksNothing: ({ linkKind }, { legend }) => {
    const kind = legend.linkKinds.find(({ id }) => id === linkKind);
    return (
      kind !== undefined &&
      [kind.route, kind.dash, kind.arrow, kind.width, kind.colour].every((look) => look === undefined)
    );
  },
  looksOnly: true,
  params: {
    linkKind: { type: 'linkKind', required: true },
    from: { type: 'kinds' },
    to: { type: 'kinds' },
    tolerance: { type: 'number', default: 6, least: 0, most: 100 },
  },
  sentence:
    'Every link' +
    '{from, select, undefined {} other { from a <b-from>{from}</b-from>}}' +
    '{to, select, undefined {} other { to a <b-to>{to}</b-to>}}' +
    ' is drawn as <b-linkKind>{linkKind}</b-linkKind>',
  shown: ({ linkKind, from, to }, assignment) => ({
    linkKind: linkKindNames(assignment, [linkKind]),
    from: kindNames(assignment, from),
    to: kindNames(assignment, to),
  }),
  messages: {
    share: ofThem('drawn so'),
    wrong: 'The link between “{a}” and “{b}” has another {what}.',
    path: 'path',
    stroke: 'stroke',
    arrow: 'arrow',
    width: 'width',
    colour: 'colour',
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
        : [{ code: 'wrong', data: { a: a.text, b: b.text, what: off.map((code) => ({ code })) }, links: [link.id] }];
    });
    return allBut(evidence, links.length, 'links');
  },
});
