import { grouped } from '../../grouped.js';
import { isBlank } from '../../words/normal-form.js';
import { CLOSE } from '../../map/kinds.js';
import { requirementType } from '../types.js';
import { percent } from '../words.js';

/** Under so many links with words a repeated phrase means nothing yet. */
const ENOUGH = 5;

export const phraseVariety = requirementType({
  id: 'phrase-variety',
  group: 'propositions',
  asks: () => 'kept',
  asksNothing: ({ maxShare }) => maxShare === 1,
  params: { maxShare: { type: 'number', default: 0.4, least: 0, most: 1 } },
  sentence: 'No words stand on more than <b-maxShare>{maxShare} %</b-maxShare> of the links',
  shown: ({ maxShare }) => ({ maxShare: percent(maxShare) }),
  messages: {
    early: 'Only {of} with words so far.',
    varied: 'The commonest stand on {used} of {of}.',
    same: 'The same words stand on {used} of {of}.',
    again: '“{phrase}” stands on {used} links: find words that fit this one better.',
  },
  check: ({ maxShare }, { index }) => {
    const links = index.structuralLinks.filter(({ phrase }) => !isBlank(phrase));
    const uses = grouped(links, ({ phrase }) => index.words.folded(phrase));
    const used = Math.max(0, ...[...uses.values()].map((same) => same.length));
    const of = links.length;
    const share = of === 0 ? 0 : used / of;
    const figures = { used, links: of };
    if (of < ENOUGH) return { fraction: 1, figures, code: 'early', data: { used, of }, evidence: [] };
    if (share <= maxShare + CLOSE) return { fraction: 1, figures, code: 'varied', data: { used, of }, evidence: [] };
    const commonest = links.filter((link) => uses.get(index.words.folded(link.phrase))!.length === used);
    return {
      fraction: (1 - share) / (1 - maxShare),
      figures,
      code: 'same',
      data: { used, of },
      evidence: commonest.map(({ id, phrase }) => ({ code: 'again', data: { phrase, used }, links: [id] })),
    };
  },
});
