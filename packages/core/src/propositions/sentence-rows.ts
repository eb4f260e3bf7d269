import { MapIndex } from '../map-index/map-index.js';
import { isStructural } from '../map/kinds.js';
import { kindOfLink } from '../map/style.js';
import type { Assignment, Link, Topic, TopicMap } from '../map/types.js';
import { VAGUE } from '../requirements/propositions/precise-phrases.js';
import { isBlank, normalForm } from '../words/normal-form.js';

/** What keeps the words of a link from saying something; null where nothing does. */
export type Concern = 'blank' | 'vague' | null;

/** A proposition as a table has it. */
export interface SentenceRow {
  link: Link;
  from: Topic;
  to: Topic;
  /** names of kinds; empty where there is none */
  fromKind: string;
  toKind: string;
  linkKind: string;
  /** how far its lower end is from the root; null where no way leads there */
  level: number | null;
  /** whether it joins two branches */
  crosses: boolean;
  concern: Concern;
}

/** The phrases that say too little here: the assignment's own list, if it has one. */
function vagueFormsOf({ requirements }: Assignment): ReadonlySet<string> {
  const asked = requirements.find(({ type }) => type === 'precise-phrases')?.params['vague'];
  const list = Array.isArray(asked) ? asked.filter((one) => typeof one === 'string') : VAGUE;
  return new Set(list.map(normalForm));
}

/** Every proposition of a map, in its order. */
export function sentenceRows(map: TopicMap, assignment: Assignment): SentenceRow[] {
  const index = new MapIndex(map, assignment);
  const vague = vagueFormsOf(assignment);
  const crossing = new Set(index.crossLinks);
  return map.links.map((link) => {
    const [from, to] = index.ends(link);
    const kind = kindOfLink(assignment.legend, link.kind);
    const levels = [from, to].flatMap(({ id }) => index.levels.get(id) ?? []);
    return {
      link,
      from,
      to,
      fromKind: index.kindOf(from)?.name ?? '',
      toKind: index.kindOf(to)?.name ?? '',
      linkKind: kind?.name ?? '',
      level: levels.length === 2 ? Math.max(...levels) : null,
      crosses: crossing.has(link),
      concern: !isBlank(link.phrase)
        ? vague.has(normalForm(link.phrase))
          ? 'vague'
          : null
        : // A kind beside the structure says what it means by its name.
          isStructural(kind)
          ? 'blank'
          : null,
    };
  });
}

export const SENTENCE_SORTS = ['map', 'concern', 'from', 'phrase', 'to', 'level'] as const;
export type SentenceSort = (typeof SENTENCE_SORTS)[number];

const CONCERNS: readonly Concern[] = ['blank', 'vague', null];

/** Rows in another order; those that are alike in it stay in the map's. @param language whose alphabet words follow */
export function sortedSentences(rows: readonly SentenceRow[], by: SentenceSort, language: string): SentenceRow[] {
  if (by === 'map') return [...rows];
  const { compare } = new Intl.Collator(language, { numeric: true });
  const words = (pick: (row: SentenceRow) => string) => (a: SentenceRow, b: SentenceRow) => compare(pick(a), pick(b));
  const order: Record<Exclude<SentenceSort, 'map'>, (a: SentenceRow, b: SentenceRow) => number> = {
    concern: (a, b) => CONCERNS.indexOf(a.concern) - CONCERNS.indexOf(b.concern),
    from: words(({ from }) => from.text),
    phrase: words(({ link }) => link.phrase),
    to: words(({ to }) => to.text),
    level: (a, b) => (a.level ?? Infinity) - (b.level ?? Infinity) || 0,
  };
  return rows.toSorted(order[by]);
}

/** Those that hold some words, in whatever column. */
export function sentencesWith(rows: readonly SentenceRow[], words: string): SentenceRow[] {
  const wanted = normalForm(words);
  if (wanted === '') return [...rows];
  return rows.filter(({ from, link, to, fromKind, toKind, linkKind }) =>
    [from.text, link.phrase, to.text, `${from.text} ${link.phrase} ${to.text}`, fromKind, toKind, linkKind].some(
      (text) => normalForm(text).includes(wanted),
    ),
  );
}
