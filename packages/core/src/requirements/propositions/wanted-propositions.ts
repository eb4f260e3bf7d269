import type { ParamRule } from '../types.js';
import type { MapIndex } from '../../map-index/map-index.js';
import type { Link } from '../../map/types.js';

/** A proposition as a teacher names it: two texts, some phrases, and which way round. */
export interface Wanted {
  from: string;
  to: string;
  phrases?: readonly string[];
  direction?: 'as-given' | 'either';
}

export const WANTED_PROPOSITIONS = {
  type: 'list',
  of: {
    from: { type: 'text', required: true },
    to: { type: 'text', required: true },
    phrases: { type: 'texts', mayBeEmpty: true },
    direction: { type: 'choice', options: ['as-given', 'either'] },
  },
  required: true,
} as const satisfies ParamRule;

/** As many as there are, each saying nothing: for sentences that count them. */
export const withoutAnswers = (propositions: readonly Wanted[]): Wanted[] =>
  propositions.map(() => ({ from: '?', to: '?' }));

export interface Found {
  wanted: Wanted;
  /** 1: there, with such a phrase if any is asked for; ½: so linked, by no such phrase; 0: not so linked */
  score: 0 | 0.5 | 1;
  /** the links that score it */
  links: readonly Link[];
  /** when it scores 0: the forward links the wrong way round */
  wrongWay: readonly Link[];
}

/** "from → to", both texts as given. */
export const nameOf = ({ from, to }: Wanted): string => `${from} → ${to}`;

/** Looks for each wanted proposition among the structural links. The two texts are matched each alone. */
export function findPropositions(wanted: readonly Wanted[], index: MapIndex): Found[] {
  const topicOf = (text: string): string | undefined => index.matchText(text)?.topic.id;
  return wanted.map((one): Found => {
    const [a, b] = [topicOf(one.from), topicOf(one.to)];
    if (a === undefined || b === undefined) return { wanted: one, score: 0, links: [], wrongWay: [] };
    const between = index.structuralLinks.filter(
      ({ from, to }) => (from === a && to === b) || (from === b && to === a),
    );
    const either = one.direction === 'either';
    const so = between.filter((link) => either || link.from === a || index.arrowOf(link) !== 'forward');
    if (so.length === 0) return { wanted: one, score: 0, links: [], wrongWay: between };
    const phrases = (one.phrases ?? []).map((phrase) =>
      index.words
        .folded(phrase)
        .split(' ')
        .filter((word) => word !== ''),
    );
    const says = (link: Link): boolean => {
      const words = new Set(index.words.folded(link.phrase).split(' '));
      return phrases.some((wordsOf) => wordsOf.every((word) => words.has(word)));
    };
    const saying = phrases.length === 0 ? so : so.filter(says);
    return saying.length > 0
      ? { wanted: one, score: 1, links: saying, wrongWay: [] }
      : { wanted: one, score: 0.5, links: so, wrongWay: [] };
  });
}
