import { existsSync, readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { readAssignmentText } from '../formats/assignment-file.js';
import { readMapText } from '../formats/map-file.js';
import { understood } from '../formats/problems.js';
import { mend } from '../marks/mend.js';
import { differenceOf } from './difference.js';

const here = path.join(process.cwd(), 'packages/core/testdata/comparison-cases');
const foldersIn = (kind: string): string[] => readdirSync(path.join(here, kind));
const text = (...parts: string[]): string => readFileSync(path.join(here, ...parts), 'utf8');
const mapIn = (...parts: string[]) => mend(understood(readMapText(text(...parts)))).map;

test.each(foldersIn('compare'))('worked difference %s', (folder) => {
  const assignment = existsSync(path.join(here, 'compare', folder, 'assignment.json'))
    ? understood(readAssignmentText(text('compare', folder, 'assignment.json')))
    : undefined;
  const difference = differenceOf(
    mapIn('compare', folder, 'before.json'),
    mapIn('compare', folder, 'after.json'),
    assignment,
  );
  expect(difference).toEqual(JSON.parse(text('compare', folder, 'expected.json')));
});

const shared = path.join(process.cwd(), '../shared/comparison-cases');
(existsSync(shared) ? test : test.skip)('the copies of the worked comparisons are those handed out', () => {
  for (const folder of foldersIn('compare'))
    for (const file of readdirSync(path.join(shared, 'compare', folder)))
      expect(text('compare', folder, file)).toBe(readFileSync(path.join(shared, 'compare', folder, file), 'utf8'));
});
