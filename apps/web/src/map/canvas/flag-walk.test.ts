import { checkMap, emptyMap, emptySheet, assignmentOf } from '@ichnograph/core';
import type { Requirement, Topic } from '@ichnograph/core';
import { flagSteps, nextStep } from './flag-walk';

const topic = (id: string, x: number): Topic => ({ id, text: id, kind: 'term', x, y: 0, width: 60, height: 40 });
const asks = (id: string, type: string): Requirement => ({ id, type, params: {}, level: 'must', points: 1 });
const assignment = {
  ...assignmentOf(emptySheet(), { starter: null, reference: null }),
  requirements: [asks('b', 'links-labelled'), asks('a', 'all-connected')],
};
const map = {
  ...emptyMap(),
  topics: [topic('Arch', 0), topic('Pier', 200), topic('Wind', 400), topic('Rain', 600)],
  links: [{ id: 'l1', from: 'Arch', to: 'Pier', phrase: '', kind: 'says' }],
};
const steps = flagSteps(checkMap(map, assignment));

test('flagged things come by the numbers of their requirements, each once, with what is said of them', () => {
  expect(steps.map(({ requirement, mark }) => `${requirement} ${mark}`)).toEqual(['a Wind', 'a Rain', 'b l1']);
  expect(steps[0]!.words).toMatch(/^1: .*“Wind”/);
});

test('the walk goes on, back and round', () => {
  expect(nextStep(steps, null, 1)).toBe(steps[0]);
  expect(nextStep(steps, null, -1)).toBe(steps[2]);
  expect(nextStep(steps, steps[2]!, 1)).toBe(steps[0]);
  expect(nextStep(steps, { ...steps[1]! }, -1)).toBe(steps[0]);
  expect(nextStep([], steps[0]!, 1)).toBeNull();
});
