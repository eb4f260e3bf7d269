import { readFileSync } from 'node:fs';
import { understood } from '../formats/problems.js';
import path from 'node:path';
import { readAssignmentText } from '../formats/assignment-file.js';
import { readMapText } from '../formats/map-file.js';
import type { Assignment, Requirement, TopicMap } from '../map/types.js';

const file = (name: string): string =>
  readFileSync(path.join(process.cwd(), 'packages/core/testdata/bridges', name), 'utf8');

/** A whole assignment with a starter and a reference, and a good student's map of it; it asks for nothing yet. */
export const bridges = (requirements: Requirement[] = []): Assignment => ({
  ...understood(readAssignmentText(file('assignment.json'))),
  requirements,
});
export const bridgesMap = (): TopicMap => understood(readMapText(file('map.json')));
