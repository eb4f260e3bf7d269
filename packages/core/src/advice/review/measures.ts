import { cannotFail as noStudentFails } from '../cannot-fail.js';
import { finding } from './sheet.js';
import type { Asked, Finding, Rule } from './sheet.js';

/** Numbers that cannot be met together, or that ask for nothing. */

const numberOf = (value: unknown): number | undefined => (typeof value === 'number' ? value : undefined);

interface Range {
  min?: number | undefined;
  max?: number | undefined;
}
const ranges = ({ params }: Asked): Range[] => [
  { min: numberOf(params.min), max: numberOf(params.max) },
  { min: numberOf(params.minWords), max: numberOf(params.maxWords) },
];
const isTurned = ({ min, max }: Range): boolean => min !== undefined && max !== undefined && min > max;

export const minOverMax: Rule = (sheet) => {
  const each = sheet
    .of('note-length')
    .filter(({ params }) => params.each?.some(({ minWords, maxWords }) => isTurned({ min: minWords, max: maxWords })));
  const turned = new Set<Asked>([...sheet.asked.filter((one) => ranges(one).some(isTurned)), ...each]);
  return [...turned].map((one) =>
    finding('min-over-max', [one], `“${one.sentence}” wants at least more than it allows at most.`),
  );
};

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
export const moreThanThereAre: Rule = (sheet) => {
  const { terms } = sheet.assignment;
  const asked = [
    ...sheet.of('all-terms-present').map((one) => ({
      one,
      min: one.params.min,
      there: terms.filter(({ kind }) => !one.params.kinds || (kind != null && one.params.kinds.includes(kind))).length,
    })),
    ...sheet
      .of('propositions-present')
      .map((one) => ({ one, min: one.params.min, there: one.params.propositions.length })),
  ];
  return asked
    .filter(({ min, there }) => min !== undefined && min > there && there > 0)
    .map(({ one, min, there }) =>
      finding(
        'more-than-there-are',
        [one],
        `“${one.sentence}” asks for ${min}, but the assignment names only ${there}.`,
      ),
    );
};

export const asksNothing: Rule = ({ asked, assignment }) =>
  asked
    .filter(({ type, params }) => type.asksNothing?.(params, assignment))
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
