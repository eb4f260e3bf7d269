import { cannotFail as noStudentFails } from '../cannot-fail.js';
import type { Wanted } from '../../requirements/propositions/wanted-propositions.js';
import { finding } from './sheet.js';
import type { Asked, Finding, Rule, Sheet } from './sheet.js';

/** Numbers that cannot be met together, or that ask for nothing. */

const numberOf = (value: unknown): number | undefined => (typeof value === 'number' ? value : undefined);

interface Range {
  min: number | undefined;
  max: number | undefined;
}
const ranges = ({ params }: Asked): Range[] => [
  { min: numberOf(params.min), max: numberOf(params.max) },
  { min: numberOf(params.minWords), max: numberOf(params.maxWords) },
  ...((params.each ?? []) as { minWords?: number; maxWords?: number }[]).map(({ minWords, maxWords }) => ({
    min: minWords,
    max: maxWords,
  })),
];
const isTurned = ({ min, max }: Range): boolean => min !== undefined && max !== undefined && min > max;

export const minOverMax: Rule = ({ asked }) =>
  asked
    .filter((one) => ranges(one).some(isTurned))
    .map((one) => finding('min-over-max', [one], `“${one.sentence}” wants at least more than it allows at most.`));

const COUNTS = ['topic-count', 'link-count', 'kind-count', 'depth', 'main-branches'];

/** Two that count the same, the one from above what the other ends at. */
export const apartRanges: Rule = ({ asked }) =>
  asked.flatMap((one, i) =>
    asked.slice(i + 1).flatMap((other): Finding[] => {
      if (one.type !== other.type || !COUNTS.includes(one.type.id)) return [];
      const { min: minA, max: maxA, ...restA } = one.params;
      const { min: minB, max: maxB, ...restB } = other.params;
      if (JSON.stringify(Object.entries(restA).sort()) !== JSON.stringify(Object.entries(restB).sort())) return [];
      const apart =
        isTurned({ min: numberOf(minA), max: numberOf(maxB) }) ||
        isTurned({ min: numberOf(minB), max: numberOf(maxA) });
      return apart && ![one, other].some((each) => ranges(each).some(isTurned))
        ? [finding('min-over-max', [one, other], `“${one.sentence}” and “${other.sentence}” cannot both be met.`)]
        : [];
    }),
  );

/** More asked for than there is to be had. */
export const moreThanThereAre: Rule = ({ asked, assignment: { terms } }) =>
  asked.flatMap((one) => {
    const { min, kinds, propositions } = one.params;
    const there =
      one.type.id === 'all-terms-present'
        ? terms.filter(({ kind }) => !kinds || (kind != null && (kinds as string[]).includes(kind))).length
        : one.type.id === 'propositions-present'
          ? (propositions as Wanted[]).length
          : Infinity;
    return typeof min === 'number' && min > there && there > 0
      ? [
          finding(
            'more-than-there-are',
            [one],
            `“${one.sentence}” asks for ${min}, but the assignment names only ${there}.`,
          ),
        ]
      : [];
  });

const none = (value: unknown): boolean => value === undefined || value === 0;
const NOTHING: Record<string, (params: Record<string, unknown>, sheet: Sheet) => boolean> = {
  ...Object.fromEntries(
    [...COUNTS, 'links-per-topic'].map((type) => [type, ({ min, max }) => none(min) && max === undefined]),
  ),
  'all-terms-present': ({ min }) => min === 0,
  'supporting-material': ({ min, minShare }) => (minShare === undefined ? min === 0 : minShare === 0),
  'note-length': ({ minWords, maxWords, each }) =>
    none(minWords) &&
    maxWords === undefined &&
    ((each ?? []) as { minWords?: number; maxWords?: number }[]).every(
      (one) => none(one.minWords) && one.maxWords === undefined,
    ),
  'prompts-answered': ({ minWords }) => minWords === 0,
  'starter-rewired': ({ minShare }) => minShare === 0,
  'sits-under': ({ min }) => min === 0,
  'cross-links': ({ min }) => min === 0,
  'forms-cycle': ({ min }) => none(min) || min === 1,
  'links-labelled': ({ minShare }) => minShare === 0,
  'phrase-variety': ({ maxShare }) => maxShare === 1,
  'propositions-present': ({ min }) => min === 0,
  'like-reference': ({ min }) => min === 0,
  'kind-style': ({ shape, fill, outline }, { assignment }) =>
    assignment.styleMode === 'guided' && !shape && !fill && !outline,
  'link-style': ({ linkKind }, { assignment }) => {
    const kind = assignment.legend.linkKinds.find(({ id }) => id === linkKind);
    return (
      kind !== undefined &&
      [kind.route, kind.dash, kind.arrow, kind.width, kind.colour].every((look) => look === undefined)
    );
  },
  'ink-contrast': ({ min }) => min === 1,
  'pale-fills': ({ minLuminance }) => minLuminance === 0,
  arrangement: ({ minShare }) => minShare === 0,
  tour: ({ minStops }) => minStops === 0,
  'group-share': ({ minShare }) => minShare === 0,
  'precise-phrases': ({ minWords, maxWords, needVerb, vague }) =>
    none(minWords) && (maxWords as number) >= 100 && !needVerb && Array.isArray(vague) && vague.length === 0,
};

export const asksNothing: Rule = (sheet) =>
  sheet.asked
    .filter((one) => NOTHING[one.type.id]?.(one.params, sheet))
    .map((one) => finding('asks-nothing', [one], `“${one.sentence}” asks for nothing: any map meets it.`));

export const cannotFail: Rule = ({ asked, assignment }) =>
  asked
    .filter(({ requirement }) => noStudentFails(requirement, assignment))
    .map((one) =>
      finding('cannot-fail', [one], `Looks are fixed in this assignment, so no student can fail “${one.sentence}”.`),
    );

export const askedTwice: Rule = ({ asked }) =>
  asked.flatMap((one, i) =>
    asked
      .slice(i + 1)
      .filter(
        (other) =>
          one.type === other.type &&
          JSON.stringify(Object.entries(one.params).sort()) === JSON.stringify(Object.entries(other.params).sort()),
      )
      .map((other) => finding('asked-twice', [one, other], `“${one.sentence}” is asked twice.`)),
  );
