import { MapIndex } from '../map-index/map-index.js';
import type { Assignment, CheckContext, Requirement, TopicMap } from '../map/types.js';
import { rounded, settled } from '../requirements/fractions.js';
import { withDefaults } from '../requirements/params.js';
import { requirementTypeOf } from '../requirements/registry.js';
import type { Data, Evidence, Finding, Report, Result, Status } from '../requirements/types.js';

/** How long a whole check may take before the rest is left to a person, milliseconds. */
export const CHECK_LIMIT_MS = 2000;

export interface CheckOptions {
  /** told of a type that threw; the report goes on without it */
  onFault?: (requirement: Requirement, fault: unknown) => void;
  /** how long all of it may take, with the clock that tells; what is not done by then is left to a person */
  limit?: { milliseconds: number; now: () => number };
}

/** Evaluates all requirements of an assignment on a map. Pure but for `onFault`; expects a mended, sorted snapshot. */
export function checkMap(
  map: TopicMap,
  assignment: Assignment,
  context?: CheckContext,
  options: CheckOptions = {},
): Report {
  const timer = timerOf(options);
  const index = new MapIndex(map, assignment, timer.pulse);
  const results = assignment.requirements.map((requirement) => {
    timer.begin();
    return resultOf(requirement, index, context, options);
  });
  return reportOf(results);
}

export function reportOf(results: Result[]): Report {
  const sum = (of: (result: Result) => number): number =>
    rounded(results.reduce((total, result) => total + of(result), 0));
  return {
    version: 2,
    results,
    earned: sum((result) => result.points),
    outOf: sum((result) => (result.fraction === null || result.level === 'extra' ? 0 : result.outOf)),
  };
}

/** Thrown from inside a check whose time is up. */
export class OutOfTime extends Error {
  override name = 'OutOfTime';
}

/** What each requirement may still take when the time for all is used up: most need much less. */
const GRACE_MS = 20;

/** The time of one check. Whoever takes long asks `pulse`, which throws when it is up; `begin` starts a requirement. */
export function timerOf({ limit }: CheckOptions): { pulse: () => void; begin: () => void } {
  if (!limit) return { pulse: () => undefined, begin: () => undefined };
  const end = limit.now() + limit.milliseconds;
  let mine = end;
  return {
    begin: () => {
      mine = Math.max(end, limit.now() + GRACE_MS);
    },
    pulse: () => {
      if (limit.now() > mine) throw new OutOfTime(`not done within ${limit.milliseconds} ms`);
    },
  };
}

/** One requirement's result on a map. A type that breaks off gives one too, which leaves it to a person. */
export function resultOf(
  requirement: Requirement,
  index: MapIndex,
  context?: CheckContext,
  { onFault }: CheckOptions = {},
): Result {
  const { id, type: typeId, level, points: outOf } = requirement;
  const base = { id, type: typeId, level, outOf, points: 0, figures: {}, evidence: [] };
  const type = requirementTypeOf(typeId);
  if (!type) return { ...base, status: 'not-applicable', fraction: null, code: 'unknownType' };
  try {
    const verdict = type.check(withDefaults(type, requirement.params), {
      index,
      assignment: index.assignment,
      context,
    });
    if ('doesNotApply' in verdict)
      return { ...base, status: 'not-applicable', fraction: null, code: verdict.doesNotApply };
    const fraction = index.map.topics.length === 0 ? 0 : settled(verdict.fraction);
    return {
      ...base,
      fraction,
      points: outOf * fraction,
      figures: verdict.figures ?? {},
      status: statusOf(fraction, verdict.judge ?? false),
      code: verdict.code,
      ...(verdict.data && { data: verdict.data }),
      evidence: verdict.evidence.map(evidenceOf),
    };
  } catch (fault) {
    onFault?.(requirement, fault);
    return { ...base, status: 'judge', fraction: 0, code: fault instanceof OutOfTime ? 'outOfTime' : 'brokeOff' };
  }
}

const statusOf = (fraction: number, judge: boolean): Status =>
  judge ? 'judge' : fraction === 1 ? 'met' : fraction === 0 ? 'unmet' : 'partly';

/** A sentence quotes no more of a text than a person reads there. */
const MOST_QUOTED = 120;
const isLong = (value: unknown): value is string => typeof value === 'string' && value.length > MOST_QUOTED;
const shortened = <T>(value: T): T | string =>
  isLong(value) ? `${value.slice(0, MOST_QUOTED - 1).trimEnd()}…` : value;

function quotable(data: Data): Data {
  for (const name in data) {
    if (isLong(data[name]))
      return Object.fromEntries(Object.entries(data).map(([key, value]) => [key, shortened(value)]));
  }
  return data;
}

function evidenceOf({ code, data, topics, links, term, flag, points }: Finding): Evidence {
  // Reports hold thousands of these: written field by field, since a conditional spread copies an object each.
  const evidence: Evidence = { topics: topics ?? [], links: links ?? [], code };
  if (term !== undefined) evidence.term = term;
  if (data) evidence.data = quotable(data);
  if (flag === false) evidence.flag = flag;
  if (points) evidence.points = points;
  return evidence;
}
