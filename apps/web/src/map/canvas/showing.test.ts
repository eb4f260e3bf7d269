import { emptyMap } from '@ichnograph/core';
import type { Evidence, Report, Result, TopicMap } from '@ichnograph/core';
import { concernOf, flagsOf } from './flags';
import { readAloud } from '../reading/reading-line';
import { viewportFor, viewportSeeing } from './view';

const evidence = (fields: Partial<Evidence>): Evidence => ({
  topics: [],
  links: [],
  code: 'x',
  ...fields,
});
const result = (id: string, pieces: Evidence[]): Result => ({
  id,
  type: 'no-overlaps',
  level: 'must',
  status: 'partly',
  fraction: 0.5,
  points: 1,
  outOf: 2,
  code: 'x',
  figures: {},
  evidence: pieces,
});
const report = (...results: Result[]): Report => ({
  version: 2,
  results,
  earned: 0,
  outOf: 0,
});

test('each mark wears the numbers of the requirements that flag it, once each', () => {
  const flags = flagsOf(
    report(
      result('r1', [evidence({ topics: ['a'] }), evidence({ topics: ['a'], links: ['l'] })]),
      result('r2', [evidence({ topics: ['a'] }), evidence({ topics: ['b'], flag: false })]),
    ),
    10,
    null,
  );
  expect(flags.get('a')!.map(({ number }) => number)).toEqual([1, 2]);
  expect(flags.get('l')!.map(({ number }) => number)).toEqual([1]);
  expect(flags.has('b')).toBe(false);
  expect(flagsOf(null, 10, null).size).toBe(0);
});

test('a requirement that flags most of a map wears its number only while it is chosen', () => {
  const crowd = report(result('r1', [evidence({ topics: ['a', 'b', 'c', 'd', 'e', 'f', 'g'] })]));
  expect(flagsOf(crowd, 10, null).size).toBe(0);
  expect(flagsOf(crowd, 10, 'r1').size).toBe(7);
  expect(flagsOf(crowd, 40, null).size).toBe(7);
});

test('a chosen requirement concerns what it names and the ends of its links; one that names nothing dims nothing', () => {
  const links = [
    { id: 'l', from: 'a', to: 'b' },
    { id: 'm', from: 'c', to: 'd' },
  ];
  expect(concernOf(result('r', [evidence({ links: ['l'] })]), links)).toEqual(new Set(['l', 'a', 'b']));
  expect(concernOf(result('r', []), links)).toBeNull();
  expect(concernOf(undefined, links)).toBeNull();
});

test('a box is shown whole, in the middle of what panels leave, and never larger than life', () => {
  const padding = { top: 10, right: 110, bottom: 90, left: 10 };
  const size = { width: 800, height: 600 };
  const wide = viewportFor({ left: 0, top: 0, right: 1360, bottom: 100 }, size, { padding });
  expect(wide.zoom).toBeCloseTo(0.5);
  expect(wide.x).toBeCloseTo(10);
  expect(wide.y + 50 * wide.zoom).toBeCloseTo(10 + 250);
  expect(viewportFor({ left: 0, top: 0, right: 10, bottom: 10 }, size, { padding }).zoom).toBe(1);
  expect(viewportFor({ left: 0, top: 0, right: 1e9, bottom: 10 }, size, { padding }).zoom).toBe(0.08);
});

test('what is selected is read out as a sentence or with its kind', () => {
  const map: TopicMap = {
    ...emptyMap(),
    topics: ['Arch', 'Abutment'].map((text, i) => ({
      id: `t${i}`,
      text,
      kind: 'p',
      x: 0,
      y: 0,
      width: 1,
      height: 1,
    })),
    links: [{ id: 'l', from: 't0', to: 't1', phrase: 'pushes outward on', kind: null }],
  };
  const legend = {
    topicKinds: [
      { id: 'p', name: 'Part', purpose: '', givenBy: 'teacher' as const, shape: 'note' as const, fill: 'none' },
    ],
    linkKinds: [],
  };
  expect(readAloud(map, { legend, styleMode: 'guided' }, 'l')).toBe('Link: Arch pushes outward on Abutment');
  expect(readAloud(map, { legend, styleMode: 'guided' }, 't0')).toBe('Arch, Part, 1 link');
  expect(readAloud(map, { legend, styleMode: 'guided' }, 'gone')).toBe('');
});

test('what is out of sight comes in by the least movement, further away only where it is too large', () => {
  const [size, padding] = [
    { width: 400, height: 300 },
    { top: 20, right: 20, bottom: 20, left: 20 },
  ];
  const box = (left: number, top: number, side = 50) => ({ left, top, right: left + side, bottom: top + side });
  const now = { x: 0, y: 0, zoom: 1 };
  expect(viewportSeeing(now, box(100, 100), size, padding)).toEqual(now);
  expect(viewportSeeing(now, box(380, 100), size, padding)).toEqual({ x: -50, y: 0, zoom: 1 });
  expect(viewportSeeing(now, box(-30, 260), size, padding)).toEqual({ x: 50, y: -30, zoom: 1 });
  const far = viewportSeeing(now, box(0, 0, 520), size, padding);
  expect(far.zoom).toBeCloseTo(0.5);
});
