import { knowsVerbsOf } from '../../words/verbs.js';
import { isBlank } from '../../words/normal-form.js';
import { share } from '../fractions.js';
import { requirementType } from '../types.js';
import type { Finding } from '../types.js';
import { ofThem, partOf } from '../words.js';

/** Phrases that fit between any two topics. A teacher's own list replaces these. */
export const VAGUE = [
  'relates to',
  'is related to',
  'related to',
  'related',
  'relation',
  'connects to',
  'is connected to',
  'connected to',
  'links to',
  'is linked to',
  'linked to',
  'goes with',
  'goes to',
  'is about',
  'has to do with',
  'is associated with',
  'involves',
  'and',
  'also',
  'like',
  'same',
];

export const precisePhrases = requirementType({
  id: 'precise-phrases',
  group: 'propositions',
  asks: () => 'made',
  asksNothing: ({ minWords, maxWords, needVerb, vague }) =>
    minWords === 0 && maxWords >= 100 && !needVerb && vague?.length === 0,
  params: {
    minWords: { type: 'number', default: 1, least: 0, whole: true },
    maxWords: { type: 'number', default: 8, least: 1, whole: true },
    needVerb: { type: 'boolean', default: true },
    vague: { type: 'texts' },
  },
  sentence:
    'Words on links are precise: <b-minWords>{minWords}</b-minWords> to <b-maxWords>{maxWords}</b-maxWords> of them{needVerb, select, true {, <b-needVerb>with a verb</b-needVerb>} other {}}',
  messages: {
    none: 'No link has words yet.',
    share: ofThem('precise'),
    shareNoVerbs: `${ofThem('precise')} Verbs were not looked at in this language.`,
    few: '“{phrase}” says too little: use at least {min} words.',
    many: '“{phrase}” is long: say it in {max} words.',
    vague: '“{phrase}” could stand on any link: what does “{from}” do to “{to}”?',
    noVerb: '“{phrase}” has no verb: say what the one does to the other.',
  },
  check: ({ minWords, maxWords, needVerb, vague = VAGUE }, { index, assignment: { language } }) => {
    const links = index.structuralLinks.filter(({ phrase }) => !isBlank(phrase));
    const vagueForms = new Set(vague.map(index.words.normal));
    const looksAtVerbs = needVerb && knowsVerbsOf(language);
    const evidence = links.flatMap((link): Finding[] => {
      index.pulse();
      const words = index.words.wordsOf(link.phrase).length;
      const [from, to] = index.ends(link);
      const code =
        words < minWords
          ? 'few'
          : words > maxWords
            ? 'many'
            : vagueForms.has(index.words.normal(link.phrase))
              ? 'vague'
              : looksAtVerbs && !index.words.holdsVerb(link.phrase)
                ? 'noVerb'
                : null;
      const data = { phrase: link.phrase, min: minWords, max: maxWords, from: from.text, to: to.text };
      return code ? [{ code, data, links: [link.id] }] : [];
    });
    const [count, of] = [links.length - evidence.length, links.length];
    return {
      fraction: share(count, of),
      figures: { precise: count, phrases: of },
      code: of === 0 ? 'none' : needVerb && !looksAtVerbs ? 'shareNoVerbs' : 'share',
      data: partOf(count, of),
      evidence,
    };
  },
});
