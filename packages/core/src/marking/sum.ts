import type { Assignment, Criterion, MarkRules } from '../map/types.js';
import type { Report, Result } from '../requirements/types.js';
import type { VerdictCounts } from './verdicts.js';

type Level = Criterion['levels'][number];

/** What a teacher gave: points in place of a result's, a level of each criterion, verdicts on propositions counted. */
export interface Judgement {
  /** by requirement: 0 to what it is out of */
  points: Readonly<Record<string, number>>;
  /** by criterion: the position of its level */
  levels: Readonly<Record<string, number>>;
  /** propositions with a verdict, each key once */
  verdicts?: VerdictCounts;
  /** the score of its structure, where the assignment asks for one */
  structural?: number;
}

/** When a map was handed in and when it was due, with this student's extension. */
export interface Timing {
  due: Date | null;
  handedIn: Date | null;
}

/** Nothing here is rounded. */
export interface MarkSum {
  /** what the results, criteria and propositions give, extra points with them */
  earned: number;
  /** of it, what `extra` requirements give */
  extra: number;
  /** of it, what propositions judged give */
  ofPropositions: number;
  /** of it, what the score of the structure gives */
  ofStructure: number;
  outOf: number;
  /** taken off for being late */
  late: number;
  sum: number;
  /** ids of criteria without a level */
  notJudged: string[];
  /** ids of results that a person must look at and nobody has */
  toJudge: string[];
  /** propositions without a verdict, where they count */
  propositionsToJudge: number;
}

const DAY_MS = 24 * 3_600_000;

/** The rules of an assignment that says none: points, nothing off for being late, results in sight while working. */
export const PLAIN_MARKS: MarkRules = {
  late: null,
  propositions: null,
  scale: { as: 'points' },
  whileWorking: 'points',
};

export const isCounted = ({ status }: Pick<Result, 'status'>): boolean => status !== 'not-applicable';

/** What was given under an id; what objects answer to by themselves was given by nobody. */
const given = (to: Readonly<Record<string, number>>, id: string): number | undefined =>
  Object.hasOwn(to, id) ? to[id] : undefined;

/** Points of one result, a teacher's in place of the computer's. */
export const pointsOf = (result: Result, { points }: Pick<Judgement, 'points'>): number =>
  isCounted(result) ? (given(points, result.id) ?? result.points) : 0;

/** The level of a criterion that was given, if one was. */
export const levelOf = ({ id, levels }: Criterion, judgement: Pick<Judgement, 'levels'>): Level | undefined =>
  levels[given(judgement.levels, id) ?? -1];

/** Whether verdicts on propositions count towards the mark. */
export const countsVerdicts = ({ propositions, structural }: Pick<MarkRules, 'propositions' | 'structural'>): boolean =>
  Boolean(propositions ?? structural);

const highest = (levels: readonly { points: number }[]): number => Math.max(0, ...levels.map(({ points }) => points));
const total = (figures: readonly number[]): number => figures.reduce((sum, figure) => sum + figure, 0);

/** The share of *out of* that the late rule takes: `perDay` for every started 24 hours, `most` at the most. */
export function lateShare({ late }: Pick<MarkRules, 'late'>, { due, handedIn }: Timing): number {
  if (!late || !due || !handedIn) return 0;
  const days = Math.ceil(Math.max(0, handedIn.getTime() - due.getTime()) / DAY_MS);
  return Math.min(late.most, days * late.perDay);
}

/** The sum of a marked map, as comparison.md's *Marks* has it. */
export function sumOf(
  { results }: Pick<Report, 'results'>,
  { criteria, marks = PLAIN_MARKS }: Pick<Assignment, 'criteria' | 'marks'>,
  judgement: Judgement,
  timing: Timing,
): MarkSum {
  const counted = results.filter(isCounted);
  const extra = total(counted.filter(({ level }) => level === 'extra').map((one) => pointsOf(one, judgement)));
  const required = counted.filter(({ level }) => level !== 'extra');
  const levels = criteria.map((criterion) => levelOf(criterion, judgement));
  const { sound = 0, shaky = 0, toJudge = 0 } = judgement.verdicts ?? {};
  const { propositions, structural } = marks;
  const ofPropositions = propositions ? propositions.points * Math.min(1, (sound + shaky / 2) / propositions.full) : 0;
  const ofStructure = structural ? structural.points * Math.min(1, (judgement.structural ?? 0) / structural.full) : 0;
  const earned =
    extra +
    total(required.map((one) => pointsOf(one, judgement))) +
    total(levels.map((level) => level?.points ?? 0)) +
    ofPropositions +
    ofStructure;
  const outOf =
    total(required.map((one) => one.outOf)) +
    total(criteria.map((criterion) => highest(criterion.levels))) +
    (propositions?.points ?? 0) +
    (structural?.points ?? 0);
  const late = Math.min(Math.max(0, earned), outOf * lateShare(marks, timing));
  return {
    earned,
    extra,
    ofPropositions,
    ofStructure,
    outOf,
    late,
    sum: earned - late,
    notJudged: criteria.filter((_, i) => !levels[i]).map(({ id }) => id),
    toJudge: results
      .filter(({ id, status }) => status === 'judge' && given(judgement.points, id) === undefined)
      .map(({ id }) => id),
    propositionsToJudge: countsVerdicts({ propositions, structural }) ? toJudge : 0,
  };
}
