import { allBut } from '../all-but.js';
import { requirementType } from '../types.js';
import { blank, kindName, listed, ofThem, quoted } from '../words.js';

type Params = { pairs: [string, string][] };

export const allowedLinks = requirementType<Params>({
  id: 'allowed-links',
  group: 'structure',
  asks: () => 'kept',
  params: { pairs: { type: 'pairs', required: true } },
  sentence: ({ pairs }, assignment) => [
    'Links lead only from ',
    blank(
      'pairs',
      listed(
        pairs.map(([from, to]) => `${kindName(assignment, from)} to ${kindName(assignment, to)}`),
        'or',
      ),
    ),
  ],
  messages: {
    none: () => 'No links yet.',
    share: ({ count, of }) => ofThem(count, of, 'allowed'),
    other: ({ from, to }) =>
      `The link from ${quoted(from)} to ${quoted(to)} joins kinds that may not be joined this way round.`,
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
        return { message: 'other', data: { from: from.text, to: to.text }, links: [link.id] };
      }),
      links.length,
      'links',
      'none',
    );
  },
});
