import { drawLink } from '../geometry/draw-link.js';
import { boxOf } from '../geometry/points.js';
import { markBoxes } from '../drawn/drawn.js';
import { assignmentOf, link, mapOf, topic } from '../testing/make.js';
import { anchorPoint } from './anchor-point.js';

const { legend } = assignmentOf();
const [arch, pier] = [topic('a', { x: 0, y: 0 }), topic('p', { x: 400, y: 0 })];
const said = link('a', 'p', { phrase: 'stands on a' });
const silent = link('p', 'a', { id: 'silent', phrase: '' });
const map = {
  ...mapOf([arch, pier], [said, silent]),
  regions: [{ id: 'r', title: 'Ground', fill: '#dfe9e2', topics: ['p'] }],
};

test('what is said is tied to a topic’s right edge, to the end of a link’s words, and else to its middle', () => {
  expect(anchorPoint(map, legend, 'a')).toEqual({ x: boxOf(arch).right, y: 0 });
  const { phrase } = drawLink(said, arch, pier, legend);
  expect(anchorPoint(map, legend, said.id)!.x).toBe(phrase!.box.right);
  const middle = anchorPoint(map, legend, 'silent')!;
  expect(middle.x).toBeGreaterThan(boxOf(arch).right);
  expect(middle.x).toBeLessThan(boxOf(pier).left);
});

test('to a region’s edge, level with its title', () => {
  const box = markBoxes(map, legend, 'regions').get('r')!;
  const point = anchorPoint(map, legend, 'r')!;
  expect(point.x).toBe(box.right);
  expect(point.y).toBeGreaterThan(box.top);
  expect(point.y).toBeLessThan(boxOf(pier).top);
});

test('to nothing where it is gone, with its ends too', () => {
  expect(anchorPoint(map, legend, 'gone')).toBeNull();
  expect(anchorPoint({ ...map, topics: [arch] }, legend, said.id)).toBeNull();
  expect(anchorPoint({ ...map, topics: [arch] }, legend, 'r')).toBeNull();
});
