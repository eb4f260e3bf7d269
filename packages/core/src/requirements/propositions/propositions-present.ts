import { propositionOf } from '../../propositions/sentence.js';
import { ramp } from '../fractions.js';
import { requirementType } from '../types.js';
import type { Finding } from '../types.js';
import { findPropositions, nameOf, WANTED_PROPOSITIONS, withoutAnswers } from './wanted-propositions.js';
import type { Wanted } from './wanted-propositions.js';
import { blank, quoted } from '../words.js';

type Params = { propositions: Wanted[]; min?: number };

export const propositionsPresent = requirementType<Params>({
  id: 'propositions-present',
  group: 'propositions',
  asks: () => 'made',
  params: { propositions: WANTED_PROPOSITIONS, min: { type: 'number', least: 0 } },
  answers: {
    without: (params) => ({ ...params, propositions: withoutAnswers(params.propositions) }),
    telling: ['missing'],
  },
  sentence: ({ propositions, min }) => [
    ...(min !== undefined
      ? ['The map says at least ', blank('min', min), ' of ']
      : [propositions.length === 1 ? 'The map says ' : 'The map says each of ']),
    blank('propositions', propositions.length),
    propositions.length === 1 ? ' given sentence' : ' given sentences',
  ],
  messages: {
    found: ({ count, of }) => `${count} of ${of} found.`,
    looks: ({ count, of }) => `${count} of ${of} found; your teacher looks at the words of the others.`,
    otherWords: ({ now }) => `The two are linked, in other words: ${quoted(now)}. Say it more exactly.`,
    wrongWay: ({ now }) => `Turn this arrow round: it now reads ${quoted(now)}.`,
    missing: ({ from, to }) => `Link ${quoted(from)} to ${quoted(to)}.`,
  },
  check: ({ propositions, min }, { index, assignment: { legend } }) => {
    const found = findPropositions(propositions, index);
    const nowReads = (link: (typeof found)[number]['links'][number]): string => {
      const { from, phrase, to } = propositionOf(link, ...index.ends(link), legend);
      return `${from} ${phrase || '…'} ${to}`;
    };
    const evidence = found.flatMap(({ wanted, score, links, wrongWay }): Finding[] => {
      if (score === 1) return [];
      if (score === 0.5)
        return links.map((link) => ({ message: 'otherWords', data: { now: nowReads(link) }, links: [link.id] }));
      if (wrongWay.length > 0)
        return wrongWay.map((link) => ({ message: 'wrongWay', data: { now: nowReads(link) }, links: [link.id] }));
      return [{ message: 'missing', data: { from: wanted.from, to: wanted.to }, term: nameOf(wanted) }];
    });
    const sum = found.reduce((total, { score }) => total + score, 0);
    const judge = found.some(({ score }) => score === 0.5);
    const [count, of] = [found.filter(({ score }) => score === 1).length, found.length];
    return {
      fraction: of === 0 ? 0 : ramp(sum, min ?? of),
      judge,
      figures: { found: count, of, score: sum },
      message: judge ? 'looks' : 'found',
      data: { count, of },
      evidence,
    };
  },
});
