import { assignmentOf, link, topic } from './make.js';
import type { Assignment, CheckContext, Link, Topic, TopicMap } from '../map/types.js';
import { checkMap } from '../checking/check-map.js';

/** The catalogue clause by clause, where two readings of a sentence could differ: what the tests of each group share. */

export interface Clause {
  says: string;
  type: string;
  params?: Record<string, unknown>;
  map: TopicMap;
  assignment?: Assignment;
  context?: CheckContext;
  /** what is found: a fraction, and the ids and terms flagged */
  gives: [fraction: number | null, ...flags: string[]];
  judge?: true;
}

export function clauses(list: Clause[]): void {
  test.each(list.map((one) => [`${one.type}: ${one.says}`, one] as const))('%s', (_, one) => {
    const requirement = { id: 'r', type: one.type, params: one.params ?? {}, level: 'must' as const, points: 1 };
    const faults: unknown[] = [];
    const [result] = checkMap(
      one.map,
      { ...(one.assignment ?? assignmentOf()), requirements: [requirement] },
      one.context,
      { onFault: (_requirement, fault) => faults.push(fault) },
    ).results;
    expect(faults).toEqual([]);
    const [fraction, ...flags] = one.gives;
    if (fraction === null) expect(result!.fraction).toBeNull();
    else expect(result!.fraction).toBeCloseTo(fraction, 9);
    const found = result!.evidence
      .filter(({ flag }) => flag !== false)
      .flatMap(({ topics, links, term }) => [...topics, ...links, ...(term === undefined ? [] : [term])]);
    expect([...new Set(found)].sort()).toEqual([...flags].sort());
    expect(result!.status === 'judge').toBe(one.judge ?? false);
  });
}

export const part = (id: string, more: Partial<Topic> = {}): Topic => topic(id, { kind: 'part', ...more });
export const own = (id: string, more: Partial<Topic> = {}): Topic => topic(id, { kind: 'own', ...more });
export const root = topic('r', { text: 'Bridge', kind: 'root' });
export const target = (id: string, more: Partial<Topic> = {}): Topic => topic(id, { kind: 'target', ...more });
export const shows = (from: string, to: string, more: Partial<Link> = {}): Link =>
  link(from, to, { kind: 'shows', ...more });
export const bridge = assignmentOf({ root: 'Bridge' });
