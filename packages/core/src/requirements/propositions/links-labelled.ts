import { isBlank } from '../../words/normal-form.js';
import { ramp, share } from '../fractions.js';
import { requirementType } from '../types.js';
import { percent } from '../words.js';

export const linksLabelled = requirementType({
  id: 'links-labelled',
  group: 'propositions',
  asks: () => 'made',
  asksNothing: ({ minShare }) => minShare === 0,
  params: { minShare: { type: 'number', default: 1, least: 0, most: 1 } },
  sentence:
    '{minShare, plural, =100 {Every link has words} other {At least <b-minShare>{minShare} %</b-minShare> of the links have words}}',
  shown: ({ minShare }) => ({ minShare: percent(minShare) }),
  messages: {
    none: 'No links yet.',
    all: '{of, plural, =1 {The one link has.} other {All {of} have.}}',
    some: '{of, plural, =1 {The one link has none.} other {{count} of {of} links {count, plural, one {has} other {have}}.}}',
    bare: 'Say how “{from}” and “{to}” belong together.',
  },
  check: ({ minShare }, { index }) => {
    const links = index.structuralLinks;
    const bare = links.filter((link) => isBlank(link.phrase));
    const of = links.length;
    const count = of - bare.length;
    return {
      fraction: ramp(share(count, of), minShare),
      figures: { labelled: count, links: of },
      code: of === 0 ? 'none' : bare.length ? 'some' : 'all',
      data: { count, of },
      evidence: bare.map((link) => {
        const [from, to] = index.ends(link);
        return { code: 'bare', data: { from: from.text, to: to.text }, links: [link.id] };
      }),
    };
  },
});
