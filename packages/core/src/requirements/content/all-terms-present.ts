import { ramp } from '../fractions.js';
import { requirementType } from '../types.js';
import type { Finding } from '../types.js';
import { kindNames } from '../words.js';

export const allTermsPresent = requirementType({
  id: 'all-terms-present',
  group: 'content',
  asks: () => 'made',
  asksNothing: ({ min }) => min === 0,
  staysMet: true,
  params: {
    kinds: { type: 'kinds' },
    min: { type: 'number', least: 0, whole: true },
    spelling: { type: 'choice', options: ['lenient', 'strict'], default: 'lenient' },
  },
  sentence:
    '{min, select, undefined {Every given term} other {At least <b-min>{min}</b-min> of the given terms}}' +
    '{kinds, select, undefined {} other { {min, select, undefined {that names} other {that name}} a <b-kinds>{kinds}</b-kinds>}}' +
    '{min, select, undefined { is on the map} other { are on the map}}' +
    '{spelling, select, strict {, <b-spelling>spelt as given</b-spelling>} other {}}',
  shown: ({ kinds }, assignment) => ({ kinds: kindNames(assignment, kinds) }),
  messages: {
    noTerms: 'This assignment gives no terms.',
    all: 'All {count} are placed.',
    some: '{count} of {of} placed.',
    missing: 'Place “{term}”.',
    near: '“{text}” counts as “{term}”: check its spelling.',
    nearCount: '{count} of {of} placed, {near} perhaps misspelt.',
  },
  check: ({ kinds, min, spelling }, { index, assignment }) => {
    const { terms } = assignment;
    const matches = index.termMatches;
    const asked = terms.flatMap((term, i) => {
      if (kinds && !(term.kind != null && kinds.includes(term.kind))) return [];
      const match = matches[i] ?? null;
      return [{ term: term.text, match: match?.near && spelling === 'strict' ? null : match }];
    });
    if (terms.length === 0) return { doesNotApply: 'noTerms' };
    const evidence = asked.flatMap(({ term, match }): Finding[] => {
      if (!match) return [{ code: 'missing', data: { term }, term }];
      return match.near
        ? [{ code: 'near', data: { term, text: match.topic.text }, term, topics: [match.topic.id] }]
        : [];
    });
    const count = asked.filter(({ match }) => match).length;
    const near = asked.filter(({ match }) => match?.near).length;
    const of = min ?? asked.length;
    return {
      fraction: asked.length === 0 ? 0 : ramp(count, of),
      judge: near > 0,
      figures: { placed: count, asked: asked.length, near },
      code: near > 0 ? 'nearCount' : count >= asked.length ? 'all' : 'some',
      data: { count, of: asked.length, near },
      evidence,
    };
  },
});
