import type { Judgement } from './sum.js';

/** One thing that was judged, by what it is about: points of a result, a level of a criterion, or what is neither. */
interface Row {
  kind: string;
  subject: string;
  value: number;
}

/** Ids are a person's words: nothing answers to one here that was not given under it, not even *constructor*. */
export const valuesBy = (
  entries: readonly (readonly [id: string, value: number])[],
): Readonly<Record<string, number>> =>
  Object.assign(Object.create(null) as Record<string, number>, Object.fromEntries(entries));

/** What was judged of a map: points by requirement and levels by criterion. */
export function judgementOf(rows: readonly Row[]): Pick<Judgement, 'points' | 'levels'> {
  const of = (wanted: string): Readonly<Record<string, number>> =>
    valuesBy(rows.filter(({ kind }) => kind === wanted).map(({ subject, value }) => [subject, value]));
  return { points: of('result'), levels: of('criterion') };
}
