import { propositionOf } from '../../propositions/sentence.js';
import { ramp } from '../fractions.js';
import { requirementType } from '../types.js';
import type { Finding } from '../types.js';
import { findPropositions, nameOf, WANTED_PROPOSITIONS, withoutAnswers } from './wanted-propositions.js';

export const propositionsPresent = requirementType({
  id: 'propositions-present',
  group: 'propositions',
  asks: () => 'made',
  asksNothing: ({ min }) => min === 0,
  staysMet: true,
  params: { propositions: WANTED_PROPOSITIONS, min: { type: 'number', least: 0 } },
  answers: {
    without: (params) => ({ ...params, propositions: withoutAnswers(params.propositions) }),
    telling: ['missing'],
  },
  sentence:
    'The map says {min, select, undefined {{propositions, plural, =1 {} other {each of }}} other {at least <b-min>{min}</b-min> of }}' +
    '<b-propositions>{propositions}</b-propositions> given {propositions, plural, one {sentence} other {sentences}}',
  shown: ({ propositions }) => ({ propositions: propositions.length }),
  messages: {
    found: '{count} of {of} found.',
    looks: '{count} of {of} found; your teacher looks at the words of the others.',
    otherWords: 'The two are linked, in other words: “{now}”. Say it more exactly.',
    wrongWay:
      'This arrow leads the other way: it reads “{now}”. Turn it round, and word it so that it reads from “{from}”.',
    missing: 'Link “{from}” to “{to}”.',
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
        return links.map((link) => ({ code: 'otherWords', data: { now: nowReads(link) }, links: [link.id] }));
      if (wrongWay.length > 0)
        return wrongWay.map((link) => ({
          code: 'wrongWay',
          data: { now: nowReads(link), from: wanted.from },
          links: [link.id],
        }));
      return [{ code: 'missing', data: { from: wanted.from, to: wanted.to }, term: nameOf(wanted) }];
    });
    const sum = found.reduce((total, { score }) => total + score, 0);
    const judge = found.some(({ score }) => score === 0.5);
    const [count, of] = [found.filter(({ score }) => score === 1).length, found.length];
    return {
      fraction: of === 0 ? 0 : ramp(sum, min ?? of),
      judge,
      figures: { found: count, of, score: sum },
      code: judge ? 'looks' : 'found',
      data: { count, of },
      evidence,
    };
  },
});
