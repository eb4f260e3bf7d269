import {
  checkMap,
  drawnPart,
  groupOf,
  mend,
  readAssignment,
  readMap,
  reviewRequirements,
  sentenceOf,
  togetherOf,
  understood,
} from '@ichnograph/core';
import { writeAssignment, writeMap } from '@ichnograph/core';
import type { TopicMap } from '@ichnograph/core';
import { STUDENTS_9B } from '../people.js';
import { bridges } from './assignment.js';
import { classWorks } from './class.js';
import { kofi } from './students/kofi.js';

const context = { members: ['one'], due: '2026-03-05T17:00:00Z', handedIn: '2026-03-02T17:00:00Z' };
const check = (map: TopicMap) => checkMap(mend(map).map, bridges, context);
const asJson = (value: unknown): unknown => JSON.parse(JSON.stringify(value));

const works: [string, TopicMap][] = [
  ['kofi', kofi],
  ...classWorks.flatMap(({ name, map, again }): [string, TopicMap][] => [
    [name, map],
    ...(again ? [[`${name} again`, again.map] as [string, TopicMap]] : []),
  ]),
];

test('the assignment is sound: files take it, nothing is found in its review, it asks from all groups', () => {
  expect(understood(readAssignment(asJson(writeAssignment(bridges))))).toMatchObject({ title: bridges.title });
  expect(reviewRequirements(bridges)).toEqual([]);
  expect(bridges.requirements.length).toBeGreaterThanOrEqual(12);
  expect(bridges.requirements.length).toBeLessThanOrEqual(16);
  expect(new Set(bridges.requirements.map(({ type }) => groupOf(type))).size).toBe(6);
  const terms = bridges.terms.map(({ text }) => text);
  expect([terms.length, new Set(terms).size]).toEqual([23, 23]);
});

test('the teacher’s own map meets all of it, the bare starter does not', () => {
  const given = new Set(bridges.starter!.topics.map(({ id }) => id));
  const begun = (map: TopicMap): TopicMap => ({
    ...map,
    topics: map.topics.map((topic) => (given.has(topic.id) ? { ...topic, origin: topic.id } : topic)),
  });
  const own = check(begun(bridges.reference!));
  expect(own.results.filter(({ status }) => !['met', 'not-applicable'].includes(status))).toEqual([]);
  expect(check(begun(bridges.starter!)).earned).toBeLessThan(own.earned / 2);
});

test('everything the teacher’s map says is a sentence with words of its own', () => {
  const { topics, links } = bridges.reference!;
  const byId = new Map(topics.map((topic) => [topic.id, topic]));
  const sentences = links.map((link) => sentenceOf(link, byId.get(link.from)!, byId.get(link.to)!, bridges.legend));
  expect(new Set(sentences).size).toBe(links.length);
  for (const sentence of sentences) expect(sentence).toMatch(/^\p{L}[^…]*\.$/u);
});

test('the class is at work in every state, each person once', () => {
  const names = classWorks.map(({ name }) => name);
  expect(new Set(names).size).toBe(names.length);
  const enrolled: string[] = STUDENTS_9B.map(({ name }) => name);
  expect(enrolled).toHaveLength(24);
  for (const name of [...names, 'kofi']) expect(enrolled).toContain(name);
  expect(names.length + 1).toBeGreaterThanOrEqual(12);
  expect(classWorks.filter(({ handedIn }) => !handedIn).length).toBeGreaterThanOrEqual(2);
  expect(classWorks.filter(({ again }) => again)).toHaveLength(1);
});

test.each(works)('%s’s map is whole, is drawn on the assignment, and is worth reading', (_, map) => {
  expect(mend(map)).toEqual({ map, dropped: [] });
  expect(understood(readMap(asJson(writeMap(map)))).topics).toHaveLength(map.topics.length);
  const kinds = new Set(bridges.legend.topicKinds.map(({ id }) => id));
  for (const { kind } of map.topics) if (kind !== null) expect(kinds).toContain(kind);
  const byId = new Map(map.topics.map((topic) => [topic.id, topic]));
  const hidden = map.links.filter(
    (link) => drawnPart(link, byId.get(link.from)!, byId.get(link.to)!, bridges.legend).length === 0,
  );
  expect(hidden).toEqual([]);
  const { earned, outOf, results } = check(map);
  expect(earned).toBeGreaterThan(outOf / 2);
  expect(results.filter(({ code }) => code === 'brokeOff' || code === 'outOfTime')).toEqual([]);
});

test('each map is its author’s own but one, and together they say what a class says', () => {
  const handedIn = classWorks.filter(({ handedIn }) => handedIn);
  const names = handedIn.map(({ name }) => name);
  const { likeness, propositions } = togetherOf(
    handedIn.map(({ map, again }) => mend(again?.map ?? map).map),
    bridges,
  );
  const alike = likeness.filter((pair) => pair.likeness > 0.4).map(({ a, b }) => [names[a], names[b]]);
  expect(alike).toEqual([['leila', 'mateus']]);
  const placed = likeness.filter(({ placement }) => placement > 0.4).map(({ a, b }) => [names[a], names[b]]);
  expect(placed).toEqual([['leila', 'mateus']]);
  // Some sentences many say, each in words of their own; most are one person's.
  expect(propositions.filter(({ maps }) => maps.length >= 3).length).toBeGreaterThanOrEqual(8);
  expect(propositions.filter(({ maps }) => maps.length === 1).length).toBeGreaterThan(propositions.length / 2);
});

test('what went wrong with a map shows in its report', () => {
  const statusOf = (name: string, type: string): string | undefined =>
    check(works.find(([who]) => who === name)![1]).results.find((result) => result.type === type)?.status;
  expect(statusOf('quentin', 'few-crossings')).not.toBe('met');
  expect(statusOf('rosa', 'all-connected')).not.toBe('met');
  expect(statusOf('viggo', 'precise-phrases')).not.toBe('met');
  expect(statusOf('oskar', 'all-terms-present')).not.toBe('met');
  expect(statusOf('mateus', 'links-labelled')).not.toBe('met');
  expect(statusOf('yusuf', 'kind-style')).not.toBe('met');
  expect(statusOf('wren', 'right-kind')).not.toBe('met');
});
