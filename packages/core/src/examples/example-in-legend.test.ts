import { mend } from '../drawn/mend.js';
import { drawnBox, drawnMarks } from '../drawn/drawn.js';
import { boxesMeet } from '../geometry/boxes.js';
import { boxOf } from '../geometry/points.js';
import { READY_MADE, readyMade } from '../ready-made/ready-made.js';
import { requirementTypes } from '../requirements/registry.js';
import { startingRequirement } from '../requirements/starting.js';
import { assignmentOf as sheetAssignment } from '../sheet/sheet.js';
import { assignmentOf } from '../testing/make.js';
import { exampleInLegend } from './example-in-legend.js';
import { finishedExample } from './finished-example.js';
import { exampleLegend } from './sketch.js';

const given = READY_MADE.map(({ id, title }) => {
  const { sheet, starter } = readyMade(id)!;
  return [title, sheetAssignment(sheet, { starter, reference: null })] as const;
});

test.each(given)(
  '%s: each requirement has a right and a wrong drawing, nearly all in its own legend',
  (_, assignment) => {
    const examples = assignment.requirements.map((one) => exampleInLegend(one, assignment)!);
    for (const { met, unmet } of examples) {
      expect(met.result.status).toBe('met');
      expect(unmet.result.fraction).toBeLessThan(1);
      for (const { map } of [met, unmet]) expect(mend(map).dropped).toEqual([]);
    }
    const own = examples.filter((one) => one.assignment.legend === assignment.legend);
    expect(own.length).toBeGreaterThanOrEqual(examples.length * 0.8);
  },
);

test('the drawings show the kinds that the requirement names', () => {
  const assignment = assignmentOf();
  const requirement = {
    id: 'r',
    type: 'kind-count',
    params: { kind: 'part', min: 4 },
    level: 'must',
    points: 1,
  } as const;
  const { met, unmet } = exampleInLegend(requirement, assignment)!;
  const kinds = ({ map }: typeof met) => map.topics.map(({ kind }) => kind);
  expect(kinds(met)).toEqual(['part', 'part']);
  expect(kinds(unmet).filter((kind) => kind === 'part')).toHaveLength(1);
});

test('every type has drawings in a legend of one kind too, and an unknown type has none', () => {
  const whole = assignmentOf();
  const [only] = whole.legend.topicKinds;
  const poor = { ...whole, legend: { topicKinds: [only!], linkKinds: [] } };
  for (const { id } of requirementTypes()) {
    const { met, unmet } = exampleInLegend(startingRequirement(id, poor, { id }), poor)!;
    expect([id, met.result.status]).toEqual([id, 'met']);
    expect(unmet.result.fraction).toBeLessThan(1);
  }
  expect(exampleInLegend({ id: 'r', type: 'of-tomorrow', params: {}, level: 'must', points: 1 }, whole)).toBeNull();
});

test.each(given)('%s: the finished example on another subject is drawn in its legend, and clearly', (_, { legend }) => {
  const { map, legend: drawnWith } = finishedExample(legend);
  expect(map.topics.length).toBeGreaterThan(8);
  expect(mend(map).dropped).toEqual([]);
  const boxes = map.topics.map((topic) => boxOf(topic));
  expect(boxes.some((box, i) => boxes.slice(i + 1).some((other) => boxesMeet(box, other)))).toBe(false);
  expect(drawnMarks(map, drawnWith).length).toBe(map.topics.length + map.links.length);
  expect(drawnBox(map, drawnWith)).not.toBeNull();
  expect([legend, exampleLegend]).toContain(drawnWith);
});
