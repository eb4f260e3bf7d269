import fc from 'fast-check';
import { readHeld, togetherOf } from '../class-readings/class-together.js';
import { compositeMap } from '../class-readings/composite-map.js';
import { differenceOf } from '../comparison/difference.js';
import { drawnMarks } from '../drawn/drawn.js';
import { mend } from '../drawn/mend.js';
import { evidenceMarks } from '../evidence/evidence-marks.js';
import type { Link, Requirement, Topic, TopicMap } from '../map/types.js';
import { worksheetOf } from '../on-paper/worksheet.js';
import { mapOutline } from '../outline/map-outline.js';
import { requirementTypes } from '../requirements/registry.js';
import { assignmentOf, link, mapOf, topic } from '../testing/make.js';
import { whole } from '../testing/random-maps.js';
import { TIDY_WAYS } from '../tidy/tidied.js';
import { tidyMap } from '../tidy/tidy.js';
import { say } from '../wording/say.js';
import { checkMap } from './check-map.js';

/**
 * What every object answers to without holding it. Whoever names a topic, a kind, a mark or an id so finds each table that is
 * read without asking whether the word stands in it.
 */
const WORDS = ['constructor', 'toString', '__proto__', 'hasOwnProperty', 'valueOf', 'isPrototypeOf'] as const;
const word = fc.constantFrom(...WORDS);
const some = <T>(value: fc.Arbitrary<T>): fc.Arbitrary<T | undefined> => fc.option(value, { nil: undefined });
const held = <T extends object>(fields: T): T =>
  Object.fromEntries(Object.entries(fields).filter(([, value]) => value !== undefined)) as T;

const topics = fc.uniqueArray(
  fc.record({
    id: word,
    text: word,
    kind: fc.option(word),
    origin: some(word),
    note: some(word),
    source: some(word),
    when: some(word),
    marks: some(fc.array(word, { maxLength: 3 })),
    at: fc.record({ x: fc.nat(6), y: fc.nat(6) }),
  }),
  { selector: ({ id }) => id, minLength: 2, maxLength: WORDS.length },
);
const maps = fc
  .tuple(topics, fc.array(fc.tuple(fc.nat(5), fc.nat(5), word, fc.option(word)), { maxLength: 6 }))
  .map(([rows, pairs]): TopicMap => {
    const drawn = rows.map(({ id, at, ...fields }): Topic =>
      topic(id, held({ ...fields, x: at.x * 130, y: at.y * 80 }) as Partial<Topic>),
    );
    const links = pairs.flatMap(([a, b, phrase, kind], i): Link[] =>
      a !== b && drawn[a] && drawn[b] ? [link(drawn[a].id, drawn[b].id, { id: `${phrase}${i}`, phrase, kind })] : [],
    );
    return mend(mapOf(drawn, links)).map;
  });

/** An assignment whose terms and asked propositions are such words too. */
const asked = {
  ...whole,
  terms: WORDS.map((text) => ({ text, kind: 'part' })),
  root: WORDS[0],
};

test('what is asked in such words is checked, said and shown, whatever its type', () => {
  fc.assert(
    fc.property(maps, (map) => {
      const report = checkMap(map, asked);
      expect(report.results).toHaveLength(requirementTypes().length);
      report.results.forEach((result, i) => {
        const requirement: Requirement = asked.requirements[i]!;
        expect(say(result.type, result)).not.toMatch(/\[native code\]|\[object |undefined/);
        for (const evidence of result.evidence)
          expect(say(result.type, evidence)).not.toMatch(/\[native code\]|\[object |undefined/);
        expect(() => evidenceMarks(map, asked, requirement, result)).not.toThrow();
      });
    }),
  );
});

test('a map of such words is drawn, laid out, outlined and printed like any other', () => {
  fc.assert(
    fc.property(maps, (map) => {
      for (const { drawing } of drawnMarks(map, asked.legend))
        expect(JSON.stringify(drawing)).not.toMatch(/NaN|native/);
      for (const way of TIDY_WAYS) expect(Array.isArray(tidyMap(map, { way }, asked.legend))).toBe(true);
      expect(mapOutline(map).length).toBeGreaterThanOrEqual(map.topics.length);
      expect(worksheetOf(map, { topics: 'all', phrases: 'all' }, 1).words).toEqual(
        expect.arrayContaining([...new Set(map.topics.map(({ text }) => text))]),
      );
    }),
  );
});

test('a class of such words is read together, and two of its maps are compared', () => {
  fc.assert(
    fc.property(maps, maps, (one, other) => {
      const together = togetherOf([one, other], asked);
      const composite = compositeMap(together.composite, asked, 2);
      expect(mend(composite).dropped).toEqual([]);
      expect(() => readHeld(one, asked)).not.toThrow();
      expect(differenceOf(one, other, asked)).toBeDefined();
      const same = differenceOf(one, one, asked);
      for (const list of Object.values(same)) if (Array.isArray(list)) expect(list).toEqual([]);
    }),
  );
});

test('kinds of a legend may bear such names, and mean what the legend says', () => {
  const bare = assignmentOf();
  const [first] = bare.legend.topicKinds;
  const legend = {
    ...bare.legend,
    topicKinds: [...bare.legend.topicKinds, ...WORDS.map((id) => ({ ...first!, id, name: id }))],
  };
  const map = mapOf(WORDS.map((id, i) => topic(id, { kind: id, text: id, x: i * 200 })));
  const count: Requirement = {
    id: 'r1',
    type: 'kind-count',
    params: { kind: 'constructor', min: 1, max: 1 },
    level: 'must',
    points: 2,
  };
  const [result] = checkMap(map, { ...bare, legend, requirements: [count] }).results;
  expect(result!.status).toBe('met');
  const [none] = checkMap(map, {
    ...bare,
    legend,
    requirements: [{ ...count, params: { kind: 'constructor', min: 2 } }],
  }).results;
  expect(none!.status).not.toBe('met');
});
