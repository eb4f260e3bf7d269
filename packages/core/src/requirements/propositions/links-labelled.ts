import { isBlank } from '../../words/normal-form.js';
import { ramp, share } from '../fractions.js';
import { requirementType } from '../types.js';
import { blank, quoted } from '../words.js';

type Params = { minShare: number };

export const linksLabelled = requirementType<Params>({
  id: 'links-labelled',
  group: 'propositions',
  asks: () => 'made',
  params: { minShare: { type: 'number', default: 1, least: 0, most: 1 } },
  sentence: ({ minShare }) =>
    minShare === 1
      ? ['Every link has words']
      : ['At least ', blank('minShare', `${Math.round(minShare * 100)} %`), ' of the links have words'],
  messages: {
    none: () => 'No links yet.',
    all: ({ of }) => (of === 1 ? 'The one link has.' : `All ${of} have.`),
    some: ({ count, of }) =>
      of === 1 ? 'The one link has none.' : `${count} of ${of} links ${count === 1 ? 'has' : 'have'}.`,
    bare: ({ from, to }) => `Say how ${quoted(String(from))} and ${quoted(String(to))} belong together.`,
  },
  check: ({ minShare }, { index }) => {
    const links = index.structuralLinks;
    const bare = links.filter((link) => isBlank(link.phrase));
    const of = links.length;
    const count = of - bare.length;
    return {
      fraction: ramp(share(count, of), minShare),
      figures: { labelled: count, links: of },
      message: of === 0 ? 'none' : bare.length ? 'some' : 'all',
      data: { count, of },
      evidence: bare.map((link) => {
        const [from, to] = index.ends(link);
        return { message: 'bare', data: { from: from.text, to: to.text }, links: [link.id] };
      }),
    };
  },
});
