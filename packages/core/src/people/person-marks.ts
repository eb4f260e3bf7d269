import { graphemes } from '../geometry/breaks.js';

/** How one of several people is told from the others on a map, with colours and without. */
export interface PersonMark {
  /** no two have the same */
  initials: string;
  /** white letters stand on it, and it on white paper, with a contrast of at least 4.5 : 1 (WCAG 2.2, 1.4.3) */
  colour: string;
  /** lengths of dashes and gaps, canvas units; empty: a whole line */
  dash: readonly number[];
}

interface Named {
  id: string;
  givenName: string;
  familyName: string;
}

/** Far from one another also for those who tell red from green with difficulty, and none of them the ink or a state's. */
export const PERSON_COLOURS = [
  '#1d5fa8', '#a34a12', '#6f3fa0', '#2d6a2d', '#a3245f', '#00686f', '#6b5500', '#4a2c2a',
] as const; // prettier-ignore
const DASHES: readonly (readonly number[])[] = [
  [],
  [7, 4],
  [2, 3],
  [11, 4, 2, 4],
  [5, 2],
  [14, 5],
  [2, 6],
  [8, 3, 3, 3],
];

/**
 * Marks for people who draw on one map, by their ids. Whoever comes later in the list changes nothing for those before: on
 * pages where people come and go the list only grows.
 */
export function personMarks(people: readonly Named[]): Map<string, PersonMark> {
  const taken = new Set<string>();
  return new Map(
    people.map((person, i) => {
      const initials = initialsOf(person, taken);
      taken.add(initials);
      return [
        person.id,
        { initials, colour: PERSON_COLOURS[i % PERSON_COLOURS.length]!, dash: DASHES[i % DASHES.length]! },
      ];
    }),
  );
}

/** The first letters of both names; where somebody has these, one letter more of the family name; at last a figure. */
function initialsOf({ givenName, familyName }: Named, taken: ReadonlySet<string>): string {
  const [given, family] = [graphemes(givenName.trim()), graphemes(familyName.trim())];
  const first = (given[0] ?? '').toLocaleUpperCase();
  for (let letters = 1; letters <= Math.max(1, family.length); letters++) {
    const [head = '', ...rest] = family.slice(0, letters);
    const initials = `${first}${head.toLocaleUpperCase()}${rest.join('')}`;
    if (initials !== '' && !taken.has(initials)) return initials;
  }
  const plain = `${first}${(family[0] ?? '').toLocaleUpperCase()}`;
  for (let figure = 2; ; figure++) if (!taken.has(`${plain}${figure}`)) return `${plain}${figure}`;
}
