import { legendDistances } from '../advice/legend-distances.js';
import { reviewRequirements } from '../advice/review/review-requirements.js';
import { checkMap } from '../checking/check-map.js';
import { readAssignment, writeAssignment } from '../formats/assignment-file.js';
import { mapFromStarter } from '../drawn/start.js';
import { isSheetPart, SHEET_PARTS } from '../sheet/sheet.js';
import { assignmentOfReadyMade } from './plan.js';
import { READY_MADE, readyMade } from './ready-made.js';

test('there are ten, each under its own name', () => {
  expect(READY_MADE).toHaveLength(10);
  expect(new Set(READY_MADE.flatMap(({ id, title }) => [id, title])).size).toBe(20);
  expect(readyMade('no such')).toBeNull();
});

describe.each(READY_MADE)('$title', ({ id, guidance }) => {
  const made = readyMade(id)!;
  const assignment = assignmentOfReadyMade(made);

  test('is whole: it can be given out as it is, and nothing in it contradicts itself', () => {
    expect(readAssignment(writeAssignment(assignment)).messages).toEqual([]);
    expect(reviewRequirements(assignment)).toEqual([]);
    for (const part of SHEET_PARTS) expect(isSheetPart(part, made.sheet[part])).toBe(true);
    expect(guidance.length).toBeGreaterThan(30);
    expect(assignment.requirements.length).toBeGreaterThanOrEqual(5);
  });
  test('has kinds that everybody can tell apart', () => {
    expect(legendDistances(assignment.legend).flatMap(({ sentence }) => sentence ?? [])).toEqual([]);
  });
  test('asks for work: whoever hands in the bare starter has little of it', () => {
    let count = 0;
    const bare = mapFromStarter(assignment, '', () => `n${++count}`);
    const { earned, outOf, results } = checkMap(bare, assignment);
    expect(results.map(({ code }) => code)).not.toContain('broken');
    expect(earned / outOf).toBeLessThan(0.5);
  });
});
