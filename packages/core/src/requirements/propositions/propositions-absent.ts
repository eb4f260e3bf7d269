import { sentenceOf } from '../../propositions/sentence.js';
import { share } from '../fractions.js';
import { requirementType } from '../types.js';
import { findPropositions, WANTED_PROPOSITIONS, withoutAnswers } from './wanted-propositions.js';
import type { Wanted } from './wanted-propositions.js';
import { blank } from '../words.js';

type Params = { propositions: Wanted[] };

export const propositionsAbsent = requirementType<Params>({
  id: 'propositions-absent',
  group: 'propositions',
  asks: () => 'kept',
  params: { propositions: WANTED_PROPOSITIONS },
  answers: {
    without: (params) => ({ ...params, propositions: withoutAnswers(params.propositions) }),
    telling: [],
  },
  sentence: ({ propositions }) => [
    propositions.length === 1 ? 'The map does not say ' : 'The map says none of ',
    blank('propositions', propositions.length),
    propositions.length === 1 ? ' known mistake' : ' known mistakes',
  ],
  messages: {
    none: () => 'None of them found.',
    some: ({ count }) => (count === 1 ? 'One of them found.' : `${count} of them found.`),
    wrong: ({ sentence }) => `Think again: is this true? ${sentence}`,
  },
  check: ({ propositions }, { index, assignment: { legend } }) => {
    const there = findPropositions(propositions, index).filter(({ score }) => score === 1);
    const count = there.length;
    return {
      fraction: 1 - share(count, propositions.length),
      figures: { found: count },
      message: count ? 'some' : 'none',
      data: { count },
      evidence: there.flatMap(({ links }) =>
        links.map((link) => ({
          message: 'wrong',
          data: { sentence: sentenceOf(link, ...index.ends(link), legend) },
          links: [link.id],
        })),
      ),
    };
  },
});
