import { readFileSync } from 'node:fs';
import path from 'node:path';
import { checkMap } from '../checking/check-map.js';
import { reportForStudents } from '../checking/for-students.js';
import { mend } from '../drawn/mend.js';
import { assignmentOf, mapOf, topic } from '../testing/make.js';
import { need } from '../testing/random-maps.js';
import { say } from '../wording/say.js';
import { readAssignment, writeAssignment } from './assignment-file.js';
import { readMap, writeMap } from './map-file.js';
import { FileRefused, understood } from './problems.js';
import { openStoredAssignment, openStoredMap, openStoredReport } from './stored.js';

interface Stored {
  results: { message: string; evidence: { message: string; code: string }[] }[];
  earned: number;
  outOf: number;
}
const sample = (name: string): Stored =>
  JSON.parse(readFileSync(path.join(process.cwd(), 'packages/core/testdata/stored', name), 'utf8')) as Stored;

test('a report of the first version says what it said, and keeps its codes', () => {
  const stored = sample('report-1.json');
  const report = openStoredReport(stored);
  expect(report).not.toHaveProperty('format');
  expect([report.earned, report.outOf]).toEqual([stored.earned, stored.outOf]);
  report.results.forEach((result, i) => {
    const before = stored.results[i]!;
    expect(say(result.type, result)).toBe(before.message);
    expect(result.evidence.map((piece) => say(result.type, piece))).toEqual(before.evidence.map((one) => one.message));
    expect(result.evidence.map(({ code }) => code)).toEqual(before.evidence.map((one) => one.code));
  });
  expect(openStoredReport(JSON.parse(JSON.stringify(report)))).toEqual(report);
});

test('evidence that names an answer stays hidden in old reports too', () => {
  const result = { ...sample('report-1.json').results[0]!, type: 'propositions-present' };
  result.evidence[0]!.code = 'missing';
  const report = openStoredReport({ ...sample('report-1.json'), results: [result] });
  const shown = reportForStudents(report).results[0]!.evidence;
  expect(shown.length).toBeLessThan(result.evidence.length);
  expect(shown.map(({ code }) => code)).not.toContain('missing');
});

test('a report of today is opened as it is', () => {
  const report = checkMap(
    mapOf([topic('a')]),
    assignmentOf({ requirements: [need('all-connected'), need('on-time')] }),
  );
  expect(openStoredReport(JSON.parse(JSON.stringify(report)))).toEqual(report);
});

test.each([
  ['no object', null],
  ['a version of the future', { version: 3 }],
  ['no results', { version: 2, earned: 1, outOf: 1 }],
  ['a status nobody knows', { ...checkMap(mapOf([]), assignmentOf()), results: [{ id: 'a', status: 'fine' }] }],
])('a damaged report is not taken for one: %s', (_, body) => {
  expect(() => openStoredReport(body)).toThrow('a stored report');
});

/** Taken in their day, and refused as files since: nesting has a limit now. */
const deep = (levels: number): unknown => (levels === 0 ? 'end' : { in: deep(levels - 1) });

test('maps and assignments from before a rule was tightened open, and files like them are refused', () => {
  const map = { ...(writeMap(mapOf([topic('a')])) as Record<string, any>), ours: deep(40) };
  expect(() => understood(readMap(map))).toThrow(FileRefused);
  expect(mend(openStoredMap(map)).map.topics).toHaveLength(1);
  const assignment = { ...(writeAssignment(assignmentOf({ starter: mapOf([topic('a')]) })) as object), ours: deep(40) };
  expect(() => understood(readAssignment(assignment))).toThrow(FileRefused);
  expect(openStoredAssignment(assignment).starter?.topics).toHaveLength(1);
});
