import type { Assignment, Legend, Term } from '../map/types.js';
import { LIMITS } from '../map/types.js';
import { emptySheet } from '../sheet/empty-sheet.js';
import type { Sheet } from '../sheet/sheet.js';
import { normalForm } from '../words/normal-form.js';

/** What a class said, as its teacher left it: each idea once, under the group it was sorted into. */
export interface TakenIdea {
  text: string;
  /** in which other words it was sent */
  otherWords: readonly string[];
  /** a group's name; null: in none */
  group: string | null;
}

export interface Taken {
  question: string;
  /** names, in their order */
  groups: readonly string[];
  ideas: readonly TakenIdea[];
}

const cut = (text: string): string => text.slice(0, LIMITS.text);

/** The ideas as terms for a word bank, each also counted in the other words it was sent in. */
export function bankOfIdeas({ ideas }: Taken, legend: Legend): Term[] {
  return once(
    ideas.map(({ text, otherWords }) => {
      const accept = [...new Set(otherWords.map(cut))].filter((other) => normalForm(other) !== normalForm(text));
      return { text: cut(text), kind: kindOf(legend, 'term'), ...(accept.length > 0 && { accept }) };
    }),
  );
}

/** The question with the groups below it, and below those their ideas, as terms that stand on the map. */
export function treeOfIdeas({ question, groups, ideas }: Taken, legend: Legend): Pick<Assignment, 'root' | 'terms'> {
  const root = cut(question);
  const kept = groups.filter((name) => ideas.some(({ group }) => group === name));
  return {
    root,
    terms: once([
      { text: root, kind: legend.topicKinds.find((one) => one.root)?.id ?? kindOf(legend, 'heading'), place: 'map' },
      ...kept.map((name): Term => ({ text: cut(name), kind: kindOf(legend, 'heading'), under: root, place: 'map' })),
      ...ideas.map(({ text, group }): Term => ({
        text: cut(text),
        kind: kindOf(legend, 'term') ?? kindOf(legend, 'idea'),
        under: group === null ? root : cut(group),
        place: 'map',
      })),
    ]),
  };
}

/** A sheet to go on with: the question is its focus, the ideas are its terms. */
export function sheetOfIdeas(taken: Taken, as: 'bank' | 'starter', language: string): Sheet {
  const sheet = emptySheet(language);
  const { legend } = sheet.legend;
  const title = cut(taken.question);
  const { root, terms } =
    as === 'bank' ? { root: undefined, terms: bankOfIdeas(taken, legend) } : treeOfIdeas(taken, legend);
  return {
    ...sheet,
    task: { ...sheet.task, title, focusQuestion: title },
    legend: { ...sheet.legend, ...(root !== undefined && { root }) },
    terms: { terms },
  };
}

/** Terms that a list has not, in no words that it counts. */
export function newTerms(terms: readonly Term[], more: readonly Term[]): Term[] {
  const known = new Set(terms.flatMap(({ text, accept = [] }) => [text, ...accept].map(normalForm)));
  return more.filter(({ text }) => !known.has(normalForm(text)));
}

const kindOf = ({ topicKinds }: Legend, id: string): string | null =>
  topicKinds.find((kind) => kind.id === id)?.id ?? null;

const once = (terms: readonly Term[]): Term[] => {
  const known = new Set<string>();
  return terms.filter(({ text }) => {
    const form = normalForm(text);
    return known.has(form) ? false : known.add(form);
  });
};
