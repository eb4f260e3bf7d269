import { grouped } from '../../grouped.js';
import { MapIndex } from '../../map-index/map-index.js';
import { ramp, share } from '../fractions.js';
import { NEARLY_MESSAGES } from '../nearly.js';
import { requirementType } from '../types.js';
import type { Finding } from '../types.js';
import { percent } from '../words.js';

/** Closeness of two networks over their common concepts: Goldsmith, Johnson and Acton (1991), "Assessing structural knowledge". */
export const likeReference = requirementType({
  id: 'like-reference',
  group: 'propositions',
  asks: () => 'made',
  asksNothing: ({ min }) => min === 0,
  params: { min: { type: 'number', default: 0.6, least: 0, most: 1 } },
  // Its answers are the reference map itself.
  answers: { without: (params) => params, telling: ['missing'] },
  sentence: 'The map is tied together at least <b-min>{min} %</b-min> like the teacher’s own',
  shown: ({ min }) => ({ min: percent(min) }),
  messages: {
    noReference: 'This assignment has no reference map.',
    close: '{closeness} % alike.',
    alone: '“{text}” is tied to nothing that it belongs with: which others does it have to do with?',
    mateless: 'Nothing that “{text}” belongs with is in the structure of this map yet.',
    missing: '“{text}” belongs on this map.',
    beside: NEARLY_MESSAGES.beside,
  },
  check: ({ min }, { index, assignment }) => {
    const { reference, terms } = assignment;
    if (!reference) return { doesNotApply: 'noReference' };
    const theirs = new MapIndex(reference, assignment, index.pulse, index.words);
    const termOf = grouped(terms, ({ text }) => index.words.normal(text));
    const wanted = reference.topics.map(({ text }) => {
      const accept = termOf.get(index.words.normal(text))?.[0]?.accept;
      return { text, ...(accept && { accept }) };
    });
    const here = new Map(index.matchTexts(wanted).map((match, i) => [reference.topics[i]!.id, match?.topic ?? null]));
    const matchedHere = new Set([...here.values()].flatMap((one) => (one ? [one.id] : [])));
    const compared = reference.topics.filter(({ id }) => (theirs.neighbours.get(id)?.size ?? 0) > 0);
    const scores = compared.map((topic) => {
      const mine = here.get(topic.id) ?? null;
      const mates = [...theirs.neighbours.get(topic.id)!].map((id) => here.get(id)?.id);
      if (!mine) return { topic, mine, score: 0, isMateless: false };
      // An unmatched neighbour there stands for itself: nothing here can be it.
      const there = new Set(mates.map((id, i) => id ?? i));
      const around = new Set([...(index.neighbours.get(mine.id) ?? [])].filter((id) => matchedHere.has(id)));
      const common = mates.filter((id) => id !== undefined && around.has(id)).length;
      const isMateless = !mates.some((id) => id !== undefined && index.neighbours.has(id));
      return { topic, mine, score: share(common, there.size + around.size - common), isMateless };
    });
    const closeness = share(
      scores.reduce((sum, { score }) => sum + score, 0),
      scores.length,
    );
    const evidence = scores
      .filter(({ score }) => score === 0)
      .map(({ topic, mine, isMateless }): Finding => {
        if (!mine) return { code: 'missing', data: { text: topic.text }, term: topic.text };
        const data = { text: mine.text };
        const beside = index.neighbours.has(mine.id) ? undefined : index.kindOf(mine)?.name;
        return beside
          ? { code: 'beside', data: { ...data, kind: beside }, topics: [mine.id] }
          : { code: isMateless ? 'mateless' : 'alone', data, topics: [mine.id] };
      });
    return {
      fraction: ramp(closeness, min),
      figures: { closeness },
      code: 'close',
      data: { closeness: Math.round(closeness * 100) },
      evidence,
    };
  },
});
