import type { Requirement, TopicMap } from '../map/types.js';
import { checkMap } from '../checking/check-map.js';
import { assignmentOf, link, mapOf, topic } from '../testing/make.js';
import { checkedExample } from '../examples/example-views.js';
import { requirementTypes } from '../requirements/registry.js';
import { need } from '../testing/random-maps.js';
import { labelOf } from '../wording/say.js';
import { evidenceMarks } from './evidence-marks.js';
import type { EvidenceMark } from './evidence-marks.js';

function marksOf(map: TopicMap, requirement: Requirement): EvidenceMark[] {
  const assignment = assignmentOf({ requirements: [requirement] });
  return evidenceMarks(map, assignment, requirement, checkMap(map, assignment).results[0]!);
}
const tones = (marks: EvidenceMark[]): number[] => marks.flatMap((one) => (one.mark === 'tint' ? [one.tone] : []));

const star = mapOf(
  [topic('r', { kind: 'root' }), topic('a', { x: 200 }), topic('b', { x: -200 }), topic('c', { x: 400 })],
  [link('r', 'a'), link('r', 'b'), link('a', 'c')],
);

test('crossings are marked where the lines meet', () => {
  const map = mapOf(
    [topic('a'), topic('b', { x: 300, y: 300 }), topic('c', { x: 300 }), topic('d', { y: 300 })],
    [link('a', 'b'), link('c', 'd')],
  );
  expect(marksOf(map, need('few-crossings'))).toEqual([{ mark: 'meeting', at: { x: 150, y: 150 } }]);
  expect(marksOf(map, need('few-crossings', { max: 1 }))).toEqual([]);
});

test('of an overlap the common part is hatched', () => {
  const map = mapOf([topic('a'), topic('b', { x: 80, y: 30 })]);
  expect(marksOf(map, need('no-overlaps'))).toEqual([
    { mark: 'overlap', box: { left: 30, right: 50, top: 10, bottom: 20 } },
  ]);
});

test('levels, branches and parts are tinted, met or not', () => {
  expect(tones(marksOf(star, need('depth', { min: 1 })))).toEqual([0, 1, 1, 2]);
  expect(tones(marksOf(star, need('main-branches', { min: 9 })))).toEqual([0, 1, 0]);
  expect(marksOf(star, need('all-connected'))).toEqual([]);
  const apart = { ...star, links: star.links.slice(0, 1) };
  expect(tones(marksOf(apart, need('all-connected')))).toEqual([0, 0, 1, 2]);
  const ring = { ...star, links: [link('a', 'b'), link('b', 'c'), link('c', 'a')] };
  expect(tones(marksOf(ring, need('no-cycles')))).toEqual([0, 0, 0]);
});

test('a link the wrong way round is read both ways', () => {
  const wanted = need('propositions-present', { propositions: [{ from: 'b', to: 'r' }] });
  expect(marksOf(star, wanted)).toMatchObject([{ mark: 'turn', now: 'r holds b', turned: 'b holds r' }]);
});

test('the paper’s edge holds a map whose words can be read on it, and not one that is too wide', () => {
  const edge = (map: TopicMap): { left: number; right: number } =>
    (marksOf(map, need('fits-paper'))[0] as { box: { left: number; right: number } }).box;
  const wide = mapOf([topic('a'), topic('b', { x: 4000 })]);
  expect(edge(star).left).toBeLessThan(-250);
  expect(edge(wide).right).toBeLessThan(4000);
  expect(marksOf(mapOf([]), need('fits-paper'))).toEqual([]);
});

test('what rings explain has no other marks; what does not apply has none', () => {
  expect(marksOf(star, need('text-size'))).toEqual([]);
  expect(marksOf(star, need('like-reference'))).toEqual([]);
});

test.each(requirementTypes().map(({ id }) => id))(
  '%s: what is drawn over its example stands on the map, finite',
  (id) => {
    const { assignment, requirement, met, unmet } = checkedExample(id);
    for (const { map, result } of [met, unmet]) {
      for (const mark of evidenceMarks(map, assignment, requirement, result)) {
        const numbers = 'at' in mark ? Object.values(mark.at) : Object.values(mark.box);
        expect(numbers.filter((value) => !Number.isFinite(value))).toEqual([]);
        if ('box' in mark) expect(mark.box.right - mark.box.left).toBeGreaterThan(0);
        if ('label' in mark) expect(labelOf(mark.label)).not.toMatch(/undefined|NaN/);
      }
    }
  },
);
