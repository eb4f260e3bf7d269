import { fitTopic } from '../geometry/fit.js';
import { drawTopic } from '../geometry/draw-topic.js';
import { boxesMeet } from '../geometry/boxes.js';
import { boxOf } from '../geometry/points.js';
import { applyChanges } from '../map/changes.js';
import type { Outcome } from '../map/changes.js';
import { pictureSrc } from '../map/picture-src.js';
import type { TopicMap } from '../map/types.js';
import { drawMark } from '../drawn/drawn.js';
import { mend } from '../drawn/mend.js';
import { mapToSvg } from '../render/svg.js';
import { assignmentOf, mapOf, topic } from '../testing/make.js';
import {
  addFile,
  addLoosePicture,
  addPicture,
  layPaper,
  removeFile,
  removePicture,
  setLoosePicture,
  setPicture,
  setWordless,
  asTopics,
} from './pictures.js';
import { moveMarks } from './topics.js';

const { legend } = assignmentOf();
const BELL = { src: 'noto/bell', alt: 'A bell' };
const BOAT = { src: 'noto/canoe', alt: 'A boat', width: 90, height: 60 };
const maker = { newId: () => 'new', by: 'noor' };
const start = mapOf([topic('a', { text: 'Bell' }), topic('b', { text: 'Boat', x: 400 })]);
const after = (outcome: Outcome, map: TopicMap = start): TopicMap => {
  if (!outcome.ok) throw new Error(outcome.code);
  return applyChanges(map, outcome.changes);
};
const code = (outcome: Outcome): string => (outcome.ok ? 'done' : outcome.code);

describe('pictures in a topic', () => {
  const one = after(addPicture(start, ['a'], BELL, legend));
  const two = after(addPicture(one, ['a', 'b'], BOAT, legend), one);

  test('a picture never takes the place of another: it comes beside it', () => {
    expect(two.topics[0]!.pictures).toEqual([BELL, BOAT]);
    expect(two.topics[1]!.pictures).toEqual([BOAT]);
    expect(code(addPicture(two, ['a'], BELL, legend))).toBe('pictureThere');
  });
  test('a topic has room for its pictures and its words, and they overlap nowhere', () => {
    expect(two.topics[0]).toMatchObject(fitTopic(two.topics[0]!, legend));
    expect(two.topics[0]!.height).toBeGreaterThan(start.topics[0]!.height + 60);
    const { pictures, lines } = drawTopic(two.topics[0]!, legend);
    expect(pictures).toHaveLength(2);
    const box = boxOf({ ...two.topics[0]!, x: 0, y: 0 });
    for (const { box: own } of pictures) {
      expect(own.left).toBeGreaterThanOrEqual(box.left);
      expect(own.bottom).toBeLessThan(lines[0]!.y);
      expect(own.top).toBeGreaterThanOrEqual(box.top);
    }
    expect(lines.at(-1)!.y).toBeLessThan(box.bottom);
    expect(pictures[0]!.box.right).toBeLessThan(pictures[1]!.box.left);
  });
  test('pictures go into rows where one row has no room', () => {
    const many = ['1', '2', '3', '4', '5'].reduce(
      (map, n) => after(addPicture(map, ['a'], { src: `noto/${n}`, alt: '' }, legend), map),
      start,
    );
    const tops = drawTopic(many.topics[0]!, legend).pictures.map(({ box }) => box.top);
    expect(new Set(tops).size).toBe(3);
  });
  test('in a box too small for them they are drawn smaller, and at last as a sign', () => {
    const squeezed = { ...two.topics[0]!, height: 60 };
    const [small] = drawTopic(squeezed, legend).pictures;
    expect(small!.box.bottom - small!.box.top).toBeLessThan(64);
    expect(drawTopic({ ...squeezed, height: 34 }, legend).pictures).toEqual([]);
    const parts = (height: number): number =>
      drawMark('topics', { ...squeezed, height }, { legend, topicById: new Map() })!.shapes.filter(
        (shape) => shape.draw === 'path' && shape.part === 'sign',
      ).length;
    expect([parts(60), parts(34)]).toEqual([0, 2]);
  });
  test('its words and its size are changed, and the topic follows; another one is put in its place when asked', () => {
    const larger = after(setPicture(one, 'a', BELL.src, { width: 150, height: 150 }, legend), one);
    expect(larger.topics[0]!.height).toBeGreaterThan(one.topics[0]!.height + 80);
    const told = after(setPicture(one, 'a', BELL.src, { alt: 'The bell nobody rings' }, legend), one);
    expect(told.topics[0]!.pictures).toEqual([{ ...BELL, alt: 'The bell nobody rings' }]);
    const other = after(setPicture(one, 'a', BELL.src, { src: 'noto/canoe' }, legend), one);
    expect(other.topics[0]!.pictures).toEqual([{ ...BELL, src: 'noto/canoe' }]);
    expect(code(setPicture(two, 'a', BELL.src, { src: BOAT.src }, legend))).toBe('pictureThere');
  });
  test('taken away, the topic is as large as before', () =>
    expect(after(removePicture(one, 'a', BELL.src, legend), one).topics[0]).toEqual({
      ...start.topics[0],
      ...fitTopic(start.topics[0]!, legend),
      pictures: undefined,
    }));
  test.each([
    ['no topic', () => addPicture(start, ['x'], BELL, legend), 'nothingChosen'],
    ['words without end', () => addPicture(start, ['a'], { ...BELL, alt: 'x'.repeat(2001) }, legend), 'altTooLong'],
    ['a picture that is gone', () => setPicture(start, 'a', 'noto/bell', {}, legend), 'pictureGone'],
    ['a topic that is gone', () => removePicture(start, 'x', 'noto/bell', legend), 'topicGone'],
    ['nothing to take away', () => removePicture(one, 'a', 'noto/x', legend), 'pictureGone'],
  ])('%s is refused', (_, act, expected) => expect(code(act())).toBe(expected));
  test('a topic holds a dozen', () => {
    const bearing = (count: number): TopicMap => ({
      ...start,
      topics: [{ ...start.topics[0]!, pictures: Array.from({ length: count }, (_, i) => ({ src: String(i) })) }],
    });
    expect(code(addPicture(bearing(11), ['a'], BELL, legend))).toBe('done');
    expect(code(addPicture(bearing(12), ['a'], BELL, legend))).toBe('picturesFull');
  });
});

describe('a loose picture', () => {
  const laid = after(addLoosePicture(start, BOAT, { x: 0, y: 0 }, maker));
  test('lies in a free place, is moved with what is selected, and keeps its corner when its size is changed', () => {
    const [picture] = laid.pictures;
    expect(start.topics.some((one) => boxesMeet(boxOf(one), boxOf(picture!)))).toBe(false);
    const moved = after(moveMarks(laid, ['new', 'a'], { x: 10, y: 5 }), laid);
    expect(moved.pictures[0]).toMatchObject({ x: picture!.x + 10, y: picture!.y + 5 });
    expect(moved.topics[0]!.x).toBe(start.topics[0]!.x + 10);
    const larger = after(setLoosePicture(laid, 'new', { width: 300, height: 0 }), laid).pictures[0]!;
    expect(larger).toMatchObject({ width: 300, height: 16 });
    expect(boxOf(larger).left).toBe(boxOf(picture!).left);
    expect(code(setLoosePicture(start, 'new', {}))).toBe('pictureGone');
  });
});

test('pages are laid under the map in their order, below each other, faint and still', () => {
  const pages = [
    { src: 'c'.repeat(64), alt: 'Page 1', width: 1600, height: 1200 },
    { src: 'd'.repeat(64), alt: 'Page 2', width: 1200, height: 1600 },
  ];
  let n = 0;
  const outcome = layPaper(start, pages, { x: 0, y: 0 }, { newId: () => `p${++n}`, by: 'noor' });
  const laid = after(outcome);
  expect(laid.pictures.map(({ width, height, opacity, fixed }) => [width, height, opacity, fixed])).toEqual([
    [1000, 750, 0.5, true],
    [1000, 1333, 0.5, true],
  ]);
  expect(boxOf(laid.pictures[1]!).top).toBeGreaterThan(boxOf(laid.pictures[0]!).bottom);
  expect(mend(laid).map).toBe(laid);
  expect(mapToSvg(laid, legend, { hrefOf: () => '/x' })).toContain('opacity="0.5"');
});

test('where a picture cannot be had its words are drawn, and what they hold is no markup', () => {
  const map = after(addLoosePicture(start, { src: 'x"><script>', alt: '<b>' }, { x: 0, y: 300 }, maker));
  expect(mapToSvg(map, legend)).not.toContain('<image');
  const svg = mapToSvg(map, legend, { hrefOf: (src) => `/files/${src}` });
  expect(svg).toContain('<image');
  expect(svg).not.toMatch(/<script|<b>/);
});

test('what a map can name: an upload by its hash, a shipped picture by set and name, nothing elsewhere', () => {
  expect(pictureSrc('a'.repeat(64))).toEqual({ from: 'upload', hash: 'a'.repeat(64) });
  expect(pictureSrc('noto/bell')).toEqual({ from: 'library', set: 'noto', name: 'bell' });
  for (const src of ['', 'https://x.example/a.png', '../etc/passwd', 'noto/../x', 'A'.repeat(64), 'data:image/png,x'])
    expect(pictureSrc(src)).toBeNull();
});

test('files stand beside what a topic bears, each once', () => {
  const file = { src: 'b'.repeat(64), name: '  Chapter 3.pdf ' };
  const one = after(addFile(start, 'a', file));
  expect(one.topics[0]!.files).toEqual([{ src: file.src, name: 'Chapter 3.pdf' }]);
  expect(code(addFile(one, 'a', file))).toBe('fileThere');
  expect(after(removeFile(one, 'a', file.src), one).topics[0]!.files).toBeUndefined();
});

describe('a topic that is a picture alone', () => {
  const loose = after(addLoosePicture(start, { ...BOAT, alt: 'A rowing boat' }, { x: 0, y: 300 }, maker));
  const made = after(asTopics(loose, ['new'], 'part', maker, legend), loose);
  const boat = made.topics.at(-1)!;

  test('stands where the picture stood, is called by what it shows, and draws no words', () => {
    expect(made.pictures).toEqual([]);
    expect(boat).toMatchObject({ text: 'A rowing boat', kind: 'part', wordless: true, by: 'noor' });
    const { pictures, lines } = drawTopic(boat, legend);
    expect([pictures.length, lines.map(({ text }) => text).join('')]).toEqual([1, '']);
    expect(boat.height).toBeLessThan(fitTopic({ ...boat, wordless: false }, legend).height);
    expect(mapToSvg(made, legend, { hrefOf: () => '/boat.svg' })).not.toContain('boat</text>');
    expect(code(asTopics(made, ['gone'], null, maker, legend))).toBe('pictureGone');
  });
  test('another description is another name; its words come back, and do where no picture is left', () => {
    const told = after(setPicture(made, boat.id, BOAT.src, { alt: 'The ferry' }, legend), made);
    expect(told.topics.at(-1)!.text).toBe('The ferry');
    const worded = after(setWordless(told, [boat.id], false, legend), told);
    expect(
      drawTopic(worded.topics.at(-1)!, legend)
        .lines.map(({ text }) => text)
        .join(' '),
    ).toBe('The ferry');
    const bare = after(removePicture(told, boat.id, BOAT.src, legend), told);
    expect(bare.topics.at(-1)).not.toHaveProperty('wordless', true);
    expect(drawTopic(bare.topics.at(-1)!, legend).lines).toHaveLength(1);
    expect(code(setWordless(start, ['a'], true, legend))).toBe('noPictureIn');
  });
});
