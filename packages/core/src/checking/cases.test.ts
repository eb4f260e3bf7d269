import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { understood } from '../formats/problems.js';
import path from 'node:path';
import { readAssignmentText } from '../formats/assignment-file.js';
import { readContextText } from '../formats/context-file.js';
import { readMapText } from '../formats/map-file.js';
import { mend } from '../drawn/mend.js';
import { checkMap } from './check-map.js';
import { requirementTypeOf } from '../requirements/registry.js';
import type { Result } from '../requirements/types.js';

const cases = path.join(process.cwd(), 'packages/core/testdata/cases');
const text = (...parts: string[]): string => readFileSync(path.join(cases, ...parts), 'utf8');

interface Expected {
  results: {
    id: string;
    type: string;
    status: string;
    fraction: number | null;
    flagged: { topics: string[]; links: string[]; terms: string[] } | null;
  }[];
  earned: number;
  outOf: number;
}

const flaggedIn = ({ evidence }: Result): { topics: string[]; links: string[]; terms: string[] } => {
  const flags = evidence.filter((piece) => piece.flag !== false);
  const sorted = (all: string[]): string[] => [...new Set(all)].sort();
  return {
    topics: sorted(flags.flatMap((piece) => piece.topics)),
    links: sorted(flags.flatMap((piece) => piece.links)),
    terms: sorted(flags.flatMap((piece) => piece.term ?? [])),
  };
};

const folders = readdirSync(cases, { withFileTypes: true })
  .filter((entry) => entry.isDirectory())
  .map(({ name }) => name);

describe.each(folders)('worked case %s', (folder) => {
  const assignment = understood(readAssignmentText(text(folder, 'assignment.json')));
  const context = existsSync(path.join(cases, folder, 'context.json'))
    ? understood(readContextText(text(folder, 'context.json')))
    : undefined;
  const expected = Object.entries(JSON.parse(text(folder, 'expected.json')) as Record<string, Expected>);

  test.each(expected)('%s', (file, { results, earned, outOf }) => {
    const report = checkMap(mend(understood(readMapText(text(folder, file)))).map, assignment, context);
    const isBuilt = ({ type }: { type: string }): boolean => requirementTypeOf(type) !== undefined;
    expect(report.results.map(({ id, type }) => ({ id, type }))).toEqual(results.map(({ id, type }) => ({ id, type })));
    results.forEach((wanted, i) => {
      if (!isBuilt(wanted)) return;
      const got = report.results[i]!;
      const close =
        wanted.fraction === null || got.fraction === null
          ? wanted.fraction
          : (expect.closeTo(wanted.fraction, 6) as number);
      expect({
        id: got.id,
        status: got.status,
        fraction: got.fraction,
        flagged: wanted.flagged && flaggedIn(got),
      }).toEqual({ id: wanted.id, status: wanted.status, fraction: close, flagged: wanted.flagged });
    });
    if (results.every(isBuilt)) expect(report).toMatchObject({ earned, outOf });
  });
});

const shared = path.join(process.cwd(), '../shared/cases');
(existsSync(shared) ? test : test.skip)('the copies of the worked cases are those handed out', () => {
  for (const folder of folders) {
    for (const file of readdirSync(path.join(shared, folder))) {
      expect(text(folder, file)).toBe(readFileSync(path.join(shared, folder, file), 'utf8'));
    }
  }
});
