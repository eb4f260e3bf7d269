import { checkMap } from '../checking/check-map.js';
import { requirementParts, requirementSentence, say } from '../wording/say.js';
import { requirementTypeOf } from '../requirements/registry.js';
import { withDefaults } from '../requirements/params.js';
import type { Data, Result, Said, Status } from '../requirements/types.js';
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

/** The codes of what is said, and of all that it lists. */
const codesIn = ({ code, data = {} }: Said): string[] => [code, ...codesOf(data)];
const codesOf = (data: Data): string[] =>
  Object.values(data).flatMap((value) =>
    typeof value !== 'object'
      ? []
      : ('anyOf' in value ? value.anyOf : value).flatMap((one) => (typeof one === 'string' ? [] : codesIn(one))),
  );

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
      const [result] = first.results;
      for (const said of [result!, ...result!.evidence]) codesIn(said).forEach((code) => used.add(code));
      return result!;
    };

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
      for (const piece of result.evidence) {
        const { topics, links, code } = piece;
        const message = say(id, piece);
        for (const mark of [...topics, ...links]) expect(there).toContain(mark);
        expect(message).toMatch(/^\P{Ll}.*[.?]$/u);
        expect(message).not.toContain('undefined');
        expect(type.messages).toHaveProperty(code);
      }
      expect(type.messages).toHaveProperty(result.code);
      expect(say(id, result)).toMatch(/^\P{Ll}.*[.]$/u);
      expect(say(id, result)).not.toContain(requirementSentence({ type: id, params: one.params ?? {} }, assignment));
    });

    test('has a case of each status it can have', () => {
      const statuses = new Set(cases.map(({ status }) => status));
      expect(required.filter((status) => !statuses.has(status))).toEqual([]);
    });

    test('its sentence is whole, and every blank belongs to a parameter', () => {
      for (const { params = {} } of cases) {
        codesOf(type.shown?.(withDefaults(type, params), assignment) ?? {}).forEach((code) => used.add(code));
        const whole = requirementSentence({ type: id, params }, assignment);
        expect(whole).toMatch(/^\p{Lu}.*[^.]$/u);
        expect(whole).not.toMatch(/undefined|NaN| {2}/);
        const blanks = requirementParts({ type: id, params }, assignment).flatMap((part) =>
          typeof part === 'string' ? [] : [part.param],
        );
        expect(blanks.filter((blank) => !(blank in type.params))).toEqual([]);
      }
    });

    test('each of its messages comes up in some case', () => {
      for (const one of cases) run(one);
      expect(Object.keys(type.messages).filter((key) => !used.has(key) && !CROWDED.has(key))).toEqual([]);
    });
  });
}
