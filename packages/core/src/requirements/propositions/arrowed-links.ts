import { allBut } from '../all-but.js';
import { requirementType } from '../types.js';
import { ofThem } from '../words.js';

export const arrowedLinks = requirementType({
  id: 'arrowed-links',
  group: 'propositions',
  asks: () => 'kept',
  params: {},
  sentence: 'Every link has one arrow, pointing the way it reads',
  messages: {
    none: 'No links yet.',
    share: ofThem('arrowed'),
    plain: 'Which way does the link between “{from}” and “{to}” read? Give it one arrow.',
  },
  check: (_, { index }) => {
    const links = index.structuralLinks;
    const others = links.filter((link) => index.arrowOf(link) !== 'forward');
    return allBut(
      others.map((link) => {
        const [from, to] = index.ends(link);
        return { code: 'plain', data: { from: from.text, to: to.text }, links: [link.id] };
      }),
      links.length,
      'links',
      'none',
    );
  },
});
