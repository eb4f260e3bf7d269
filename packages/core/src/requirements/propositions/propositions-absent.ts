import { sentenceOf } from '../../propositions/sentence.js';
import { share } from '../fractions.js';
import { requirementType } from '../types.js';
import { findPropositions, WANTED_PROPOSITIONS, withoutAnswers } from './wanted-propositions.js';

export const propositionsAbsent = requirementType({
  id: 'propositions-absent',
  group: 'propositions',
  asks: () => 'kept',
  params: { propositions: WANTED_PROPOSITIONS },
  answers: {
    without: (params) => ({ ...params, propositions: withoutAnswers(params.propositions) }),
    telling: [],
  },
  sentence:
    '{propositions, plural, =1 {The map does not say <b-propositions>1</b-propositions> known mistake} other {The map says none of <b-propositions>{propositions}</b-propositions> known mistakes}}',
  shown: ({ propositions }) => ({ propositions: propositions.length }),
  messages: {
    none: 'None of them found.',
    some: '{count, plural, =1 {One} other {{count}}} of them found.',
    wrong: 'Think again: is this true? {sentence}',
  },
  check: ({ propositions }, { index, assignment: { legend } }) => {
    const there = findPropositions(propositions, index).filter(({ score }) => score === 1);
    const count = there.length;
    return {
      fraction: 1 - share(count, propositions.length),
      figures: { found: count },
      code: count ? 'some' : 'none',
      data: { count },
      evidence: there.flatMap(({ links }) =>
        links.map((link) => ({
          code: 'wrong',
          data: { sentence: sentenceOf(link, ...index.ends(link), legend) },
          links: [link.id],
        })),
      ),
    };
  },
});
