import { ramp } from '../fractions.js';
import { requirementType } from '../types.js';
import type { Finding } from '../types.js';
import { blank, kindNames, plural, quoted } from '../words.js';

type Params = { kinds?: string[]; min?: number; spelling: 'lenient' | 'strict' };

export const allTermsPresent = requirementType<Params>({
  id: 'all-terms-present',
  group: 'content',
  asks: () => 'made',
  params: {
    kinds: { type: 'kinds' },
    min: { type: 'number', least: 0, whole: true },
    spelling: { type: 'choice', options: ['lenient', 'strict'], default: 'lenient' },
  },
  sentence: ({ kinds, min, spelling }, assignment) => [
    ...(min === undefined ? ['Every given term'] : ['At least ', blank('min', min), ' of the given terms']),
    ...(kinds ? [' that name a ', blank('kinds', kindNames(assignment, kinds))] : []),
    min === undefined ? ' is on the map' : ' are on the map',
    ...(spelling === 'strict' ? [', ', blank('spelling', 'spelt as given')] : []),
  ],
  messages: {
    noTerms: () => 'This assignment gives no terms.',
    all: ({ count }) => `All ${count} are placed.`,
    some: ({ count, of }) => `${count} of ${of} placed.`,
    missing: ({ term }) => `Place ${quoted(String(term))}.`,
    near: ({ text, term }) => `${quoted(String(text))} counts as ${quoted(String(term))}: check its spelling.`,
    nearCount: ({ count, of, near }) =>
      `${count} of ${of} placed, ${plural(Number(near), 'perhaps misspelt', 'perhaps misspelt')}.`,
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
      if (!match) return [{ message: 'missing', data: { term }, term }];
      return match.near
        ? [{ message: 'near', data: { term, text: match.topic.text }, term, topics: [match.topic.id] }]
        : [];
    });
    const count = asked.filter(({ match }) => match).length;
    const near = asked.filter(({ match }) => match?.near).length;
    const of = min ?? asked.length;
    return {
      fraction: asked.length === 0 ? 0 : ramp(count, of),
      judge: near > 0,
      figures: { placed: count, asked: asked.length, near },
      message: near > 0 ? 'nearCount' : count >= asked.length ? 'all' : 'some',
      data: { count, of: asked.length, near },
      evidence,
    };
  },
});
