import { sentenceOf } from '../propositions/sentence.js';
import { isBlank } from '../words/normal-form.js';
import { ramp } from './fractions.js';
import { requirementType } from './types.js';
import { blank, more } from './words.js';

type Params = { min: number; labelled: boolean };

export const crossLinks = requirementType<Params>({
  id: 'cross-links',
  group: 'structure',
  asks: () => 'made',
  params: { min: { type: 'number', default: 1, least: 0, whole: true }, labelled: { type: 'boolean', default: true } },
  sentence: ({ min, labelled }) => [
    'At least ',
    blank('min', min),
    min === 1 ? ' tie' : ' ties',
    ...(labelled ? [' ', blank('labelled', 'with words')] : []),
    min === 1 ? ' joins' : ' join',
    ' different main branches',
  ],
  messages: {
    enough: ({ count }) => `${count} found.`,
    few: ({ count, min }) => (count === 0 ? `None yet: ${more(count, min)}.` : `${count} found: ${more(count, min)}.`),
    tie: ({ sentence }) => `This one counts: ${sentence}`,
  },
  check: ({ min, labelled }, { index, assignment }) => {
    const links = index.crossLinks.filter(({ phrase }) => !labelled || !isBlank(phrase));
    const count = links.length;
    return {
      fraction: ramp(count, min),
      figures: { crossLinks: count },
      message: count < min ? 'few' : 'enough',
      data: { count, min },
      evidence: links.map((link) => ({
        message: 'tie',
        data: { sentence: sentenceOf(link, ...index.ends(link), assignment.legend) },
        links: [link.id],
        flag: false,
      })),
    };
  },
});
