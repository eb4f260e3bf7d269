import { checkMap } from '../checking/check-map.js';
import { withDefaults } from '../requirements/params.js';
import { requirementTypeOf } from '../requirements/registry.js';
import { filled } from '../requirements/words.js';
import type { Result, Status } from '../requirements/types.js';
import type { Assignment, CheckContext, TopicMap } from '../map/types.js';

export interface RequirementCase {
  name: string;
  map: TopicMap;
  assignment?: Assignment;
  params?: Record<string, unknown>;
  context?: CheckContext;
  status: Status;
  fraction: number | null;
  /** ids and terms flagged, in any order */
  flags?: string[];
}

/** What is said of a tangle, one thing at a time; `tally.test.ts` looks at those. */
const CROWDED = new Set(['crossings', 'overlaps', 'overMany', 'under', 'amid']);

/**
 * Holds a requirement type to the contract that all of them share: a met, a partly met and an unmet case; the map not
 * changed; two runs equal; the outcome survives JSON; evidence names things on the map and says something of them;
 * sentences fill their blanks; no message repeats the sentence; each message comes up in some case.
 */
export function requirementTester(
  id: string,
  assignment: Assignment,
  cases: RequirementCase[],
  required: Status[] = ['met', 'partly', 'unmet'],
): void {
  describe(id, () => {
    const type = requirementTypeOf(id)!;

    const used = new Set<string>();
    const run = ({ map, params = {}, context, assignment: own = assignment }: RequirementCase): Result => {
      const requirement = { id: 'r', type: id, params, level: 'must' as const, points: 4 };
      const before = JSON.stringify(map);
      const faults: unknown[] = [];
      const check = () =>
        checkMap(map, { ...own, requirements: [requirement] }, context, {
          onFault: (_, fault) => faults.push(fault),
        });
      const [first, second] = [check(), check()];
      expect(faults).toEqual([]);
      expect(JSON.stringify(map)).toBe(before);
      expect(second).toEqual(first);
      expect(JSON.parse(JSON.stringify(first))).toEqual(first);
      return first.results[0]!;
    };

    const messages = { ...type.messages };
    beforeAll(() => {
      for (const [key, say] of Object.entries(messages))
        type.messages[key] = (data) => {
          used.add(key);
          return say(data);
        };
    });
    afterAll(() => Object.assign(type.messages, messages));

    test.each(cases.map((one) => [one.name, one] as const))('%s', (_, one) => {
      const result = run(one);
      expect(result.status).toBe(one.status);
      if (one.fraction === null) expect(result.fraction).toBeNull();
      else expect(result.fraction).toBeCloseTo(one.fraction, 9);
      const flagged = result.evidence.filter(({ flag }) => flag !== false);
      const flags = flagged.flatMap(({ topics, links, term }) => [
        ...topics,
        ...links,
        ...(term === undefined ? [] : [term]),
      ]);
      if (one.flags) expect([...new Set(flags)].sort()).toEqual([...one.flags].sort());
      const there = new Set([...one.map.topics, ...one.map.links].map((mark) => mark.id));
      for (const { topics, links, message, code } of result.evidence) {
        for (const mark of [...topics, ...links]) expect(there).toContain(mark);
        expect(message).toMatch(/^\P{Ll}.*[.?]$/u);
        expect(message).not.toContain('undefined');
        expect(type.messages).toHaveProperty(code);
      }
      expect(result.message).toMatch(/^\P{Ll}.*[.]$/u);
      expect(result.message).not.toContain(result.sentence);
    });

    test('has a case of each status it can have', () => {
      const statuses = new Set(cases.map(({ status }) => status));
      expect(required.filter((status) => !statuses.has(status))).toEqual([]);
    });

    test('each of its messages comes up in some case', () => {
      for (const one of cases) run(one);
      expect(Object.keys(type.messages).filter((key) => !used.has(key) && !CROWDED.has(key))).toEqual([]);
    });

    test('its sentence is whole, and every blank belongs to a parameter', () => {
      for (const { params = {} } of cases) {
        const parts = type.sentence(withDefaults(type, params), assignment);
        expect(filled(parts)).toMatch(/^\p{Lu}.*[^.]$/u);
        expect(filled(parts)).not.toMatch(/undefined|NaN| {2}/);
        const blanks = parts.flatMap((part) => (typeof part === 'string' ? [] : [part.param]));
        expect(blanks.filter((blank) => !(blank in type.params))).toEqual([]);
      }
    });
  });
}
