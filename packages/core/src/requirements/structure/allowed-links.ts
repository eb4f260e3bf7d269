import { allBut } from '../all-but.js';
import { requirementType } from '../types.js';
import { kindNames, ofThem } from '../words.js';

export const allowedLinks = requirementType({
  id: 'allowed-links',
  group: 'structure',
  asks: () => 'kept',
  params: { pairs: { type: 'pairs', required: true } },
  sentence: 'Links lead only from <b-pairs>{pairs}</b-pairs>',
  shown: ({ pairs }, assignment) => ({
    pairs: {
      anyOf: pairs.map(([from, to]) => ({
        code: 'pair',
        data: { from: kindNames(assignment, [from]), to: kindNames(assignment, [to]) },
      })),
    },
  }),
  messages: {
    none: 'No links yet.',
    share: ofThem('allowed'),
    pair: '{from} to {to}',
    other: 'The link from “{from}” to “{to}” joins kinds that may not be joined this way round.',
  },
  check: ({ pairs }, { index }) => {
    const links = index.structuralLinks;
    const others = links.filter((link) => {
      const [from, to] = index.ends(link).map((topic) => index.kindOf(topic)?.id);
      return !pairs.some((pair) => pair[0] === from && pair[1] === to);
    });
    return allBut(
      others.map((link) => {
        const [from, to] = index.ends(link);
        return { code: 'other', data: { from: from.text, to: to.text }, links: [link.id] };
      }),
      links.length,
      'links',
      'none',
    );
  },
});
