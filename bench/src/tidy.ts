import { instance } from '@viz-js/viz';
import type { Edge, Viz } from '@viz-js/viz';
import {
  applyChanges,
  boxesMeet,
  boxOf,
  drawLink,
  drawnBox,
  emptyMap,
  entersBox,
  fitTopic,
  lettersIn,
  meetingPoint,
  phraseAt,
  pick,
  polyline,
  SCREEN,
  seeded,
  tidyMap,
} from '@ichnograph/core';
import type { Box, Link, Point, Polyline, TidyWay, Topic, TopicMap } from '@ichnograph/core';
import { line, title, times } from './measure.js';

const WORDS = ['arch', 'beam', 'cable', 'deck', 'pier', 'span', 'truss', 'tower', 'load', 'joint', 'bearing', 'stone'];
const PHRASES = [
  'carries',
  'presses on',
  'hangs from a',
  'is held by',
  'hands its load on to',
  'pushes outward on',
  'is',
];
const MAPS = 12;
/** Graphviz's layout for each of ours, and the way its ranks go. */
const BESIDE: Record<Exclude<TidyWay, 'timeline'>, { engine: string; rankdir: string }> = {
  downward: { engine: 'dot', rankdir: 'TB' },
  outward: { engine: 'twopi', rankdir: 'TB' },
  sideways: { engine: 'dot', rankdir: 'LR' },
};

const WAYS = ['downward', 'outward', 'sideways'] as const;

interface Seen {
  crossings: number;
  throughWords: number;
  overlaps: number;
  ms: number;
}

/** Two sets of maps of 20 to 300 topics. */
const SETS: readonly [name: string, maps: readonly TopicMap[]][] = [
  ['ties between what was made about together', sized(mapWithWords, 100)],
  ['a tree by distance, a quarter as many ties anywhere', sized(mapByDistance, 500)],
];
function sized(make: (size: number, seed: number) => TopicMap, seed: number): TopicMap[] {
  return Array.from({ length: MAPS }, (_, i) => make(Math.round(20 * 15 ** (i / (MAPS - 1))), seed + i));
}

/**
 * Tidying beside Graphviz: sums over the maps of each set, each drawn as its maker draws; and in a frame, its letters beside
 * what they could be if topics and words left nothing between them, and how much stays where it is after a small change.
 */
export async function benchTidy(): Promise<void> {
  const viz = await instance();
  for (const [name, maps] of SETS)
    for (const way of WAYS) {
      title(`Tidy ${way}, ${MAPS} maps (${name}): ours · Graphviz (${BESIDE[way].engine})`);
      const [ours, theirs] = [none(), none()];
      for (const map of maps) {
        add(ours, tidied(map, way));
        add(theirs, graphviz(viz, map, BESIDE[way]));
      }
      const both = (what: keyof Seen): string => `${Math.round(ours[what])} · ${Math.round(theirs[what])}`;
      line('crossings in all', both('crossings'), 'wanted: at most 0.95 ×');
      line('lines over words in all', both('throughWords'), 'wanted: none');
      line('topics on topics, words on words, words on topics', both('overlaps'), 'wanted: none');
      line('time', times(ours.ms / theirs.ms), 'wanted: at most 1');
    }
  for (const way of WAYS) benchFrame(way);
}

/** What is wanted of letters, as a share of the most they could be, up to so many topics. */
const WANTED = [
  [50, 0.5],
  [100, 0.45],
  [Infinity, 0.35],
] as const;
const CHANGES = 6;

function benchFrame(way: (typeof WAYS)[number]): void {
  title(`Tidy ${way} in a frame of ${SCREEN.width} × ${SCREEN.height}`);
  for (const [name, maps] of SETS)
    for (const map of [maps[4]!, maps[7]!, maps[9]!]) {
      const once = applyChanges(map, tidyMap(map, { way, frame: SCREEN }));
      const share = lettersOf(once) / mostLetters(once);
      const size = map.topics.length;
      const wanted = WANTED.find(([most]) => size <= most)![1] - (way === 'outward' ? 0.1 : 0);
      const { crossings, throughWords, overlaps } = seenOf(once);
      line(
        `${size} topics, ${name}: letters`,
        `${share.toFixed(2)} of the most`,
        `wanted: ${wanted.toFixed(2)}; ${throughWords} lines over words, ${overlaps} on each other, ${crossings} crossings`,
      );
      const random = seeded(size);
      const stays = Array.from({ length: CHANGES }, () => {
        const changed = withSmallChange(once, random);
        return stayed(once, applyChanges(changed, tidyMap(changed, { way, frame: SCREEN })));
      });
      const mean = (of: (one: { moved: number; kept: number }) => number): string =>
        (stays.reduce((sum, one) => sum + of(one), 0) / CHANGES).toFixed(3);
      line(
        '  after a small change: way moved, pairs in order',
        `${mean(({ moved }) => moved)} · ${mean(({ kept }) => kept)}`,
        'wanted: at most 0.15 of the diagonal, at least 0.9',
      );
    }
}

function lettersOf(map: TopicMap): number {
  const { left, top, right, bottom } = drawnBox(map, undefined)!;
  return lettersIn({ width: right - left, height: bottom - top }, SCREEN);
}

function mostLetters({ topics, links }: TopicMap): number {
  const rooms = topics.map(({ width, height }) => (width + 40) * (height + 36));
  const words = links.map(({ phrase }) => (phrase === '' ? 0 : (7 * phrase.length + 10) * 26));
  const area = [...rooms, ...words].reduce((sum, one) => sum + one, 0);
  return 14 * Math.min(1, Math.sqrt((SCREEN.width * SCREEN.height) / area));
}

/** A topic more, a branch hung elsewhere, or longer words. */
function withSmallChange(map: TopicMap, random: () => number): TopicMap {
  const one = pick(map.topics, random);
  const what = Math.floor(random() * 3);
  if (what === 0) {
    const topic = { ...one, id: 'more', text: 'one more', x: one.x + 40, y: one.y + 60 };
    const link: Link = { id: 'more link', from: one.id, to: topic.id, phrase: 'holds', kind: null };
    return {
      ...map,
      topics: [...map.topics, { ...topic, ...fitTopic(topic, undefined) }],
      links: [...map.links, link],
    };
  }
  if (what === 1) {
    const leaves = map.links.filter(({ to }) => !map.links.some(({ from }) => from === to) && to !== one.id);
    const hung = pick(leaves, random);
    return { ...map, links: map.links.map((link) => (link === hung ? { ...link, from: one.id } : link)) };
  }
  const longer = { ...one, text: `${one.text} and so on` };
  const grown = { ...longer, ...fitTopic(longer, undefined) };
  return { ...map, topics: map.topics.map((topic) => (topic === one ? grown : topic)) };
}

/** How far topics went, as a share of the diagonal, and how many pairs kept their order left and right, above and below. */
function stayed(before: TopicMap, after: TopicMap): { moved: number; kept: number } {
  const { left, top, right, bottom } = drawnBox(after, undefined)!;
  const byId = new Map(after.topics.map((topic) => [topic.id, topic]));
  const pairs = before.topics.map((topic) => ({ was: topic, is: byId.get(topic.id)! }));
  const way = pairs.reduce((sum, { was, is }) => sum + Math.hypot(is.x - was.x, is.y - was.y), 0);
  let [kept, all] = [0, 0];
  pairs.forEach((one, i) => {
    for (const other of pairs.slice(i + 1))
      for (const along of ['x', 'y'] as const) {
        const [was, is] = [one.was[along] - other.was[along], one.is[along] - other.is[along]];
        all++;
        if (Math.abs(was) < 1 || Math.abs(is) < 1 || was > 0 === is > 0) kept++;
      }
  });
  return { moved: way / pairs.length / Math.hypot(right - left, bottom - top), kept: kept / all };
}

const none = (): Seen => ({ crossings: 0, throughWords: 0, overlaps: 0, ms: 0 });
function add(sum: Seen, one: Seen): void {
  for (const what of Object.keys(sum) as (keyof Seen)[]) sum[what] += one[what];
}

/** Topics at random places, and what joins two of them by number, once each. */
function thrownDown(size: number, random: () => number, phrase: () => string) {
  const topics = Array.from({ length: size }, (_, i): Topic => {
    const text = `${pick(WORDS, random)} ${pick(WORDS, random)} ${i}`;
    const topic = { id: `t${i}`, text, kind: null, x: random() * 1500, y: random() * 1500, width: 0, height: 0 };
    return { ...topic, ...fitTopic(topic, undefined) };
  });
  const links: Link[] = [];
  const tie = (from: number, to: number): void => {
    if (from === to || links.some((link) => link.from === `t${from}` && link.to === `t${to}`)) return;
    links.push({ id: `l${links.length}`, from: `t${from}`, to: `t${to}`, phrase: phrase(), kind: null });
  };
  return { map: { ...emptyMap(), topics, links }, tie };
}

/** A tree as a student grows it, with a fifth as many ties across, most of them between topics that were made about together. */
function mapWithWords(size: number, seed: number): TopicMap {
  const random = seeded(seed);
  const { map, tie } = thrownDown(size, random, () => pick(PHRASES, random));
  for (let i = 1; i < size; i++) tie(Math.floor(i * (0.1 + 0.6 * random())), i);
  for (let i = 0; i < size / 5; i++) {
    const from = Math.floor(random() * size);
    tie(from, Math.min(size - 1, Math.max(0, from + Math.round((random() - 0.5) * size * 0.4))));
  }
  return map;
}

/** A tree in which most hang from what was made shortly before, with a quarter as many ties between any two; words on most. */
function mapByDistance(size: number, seed: number): TopicMap {
  const random = seeded(seed);
  const { map, tie } = thrownDown(size, random, () => (random() < 0.85 ? pick(PHRASES, random) : ''));
  for (let i = 1; i < size; i++) tie(Math.max(0, i - 1 - Math.floor(-Math.log(1 - random()) * 5)), i);
  for (let i = 0; i < size / 4; i++) tie(Math.floor(random() * size), Math.floor(random() * size));
  return map;
}

function tidied(map: TopicMap, way: TidyWay): Seen {
  const start = performance.now();
  const now = applyChanges(map, tidyMap(map, { way }));
  const ms = performance.now() - start;
  return { ...seenOf(now), ms };
}

function seenOf({ topics, links }: TopicMap): Omit<Seen, 'ms'> {
  const byId = new Map(topics.map((topic) => [topic.id, topic]));
  const drawn = links.map((link) => {
    const drawing = drawLink(link, byId.get(link.from)!, byId.get(link.to)!, undefined);
    return { link, line: polyline(drawing.line), words: drawing.phrase?.box ?? null };
  });
  return seen(
    topics.map((topic) => boxOf(topic)),
    drawn,
  );
}

interface Drawn {
  link: Link;
  line: Polyline;
  words: Box | null;
}

function seen(topics: readonly Box[], drawn: readonly Drawn[]): Omit<Seen, 'ms'> {
  const result = { crossings: 0, throughWords: 0, overlaps: 0 };
  const shrunk = topics.map(inner);
  topics.forEach((box, i) => {
    for (const other of shrunk.slice(i + 1)) if (boxesMeet(inner(box), other)) result.overlaps++;
  });
  drawn.forEach((one, i) => {
    if (one.words) for (const box of shrunk) if (boxesMeet(one.words, box)) result.overlaps++;
    drawn.forEach((other, j) => {
      if (i === j) return;
      if (other.words && boxesMeet(one.line.box, other.words) && entersBox(one.line, other.words))
        result.throughWords++;
      if (j <= i) return;
      if (one.words && other.words && boxesMeet(one.words, other.words)) result.overlaps++;
      const ends = [one.link.from, one.link.to];
      if (ends.includes(other.link.from) || ends.includes(other.link.to)) return;
      if (boxesMeet(one.line.box, other.line.box) && meetingPoint(one.line.points, other.line.points))
        result.crossings++;
    });
  });
  return result;
}
const inner = ({ left, top, right, bottom }: Box): Box => ({
  left: left + 0.5,
  top: top + 0.5,
  right: right - 0.5,
  bottom: bottom - 0.5,
});

interface Laid {
  objects?: { name: string; pos: string; width: string; height: string }[];
  edges?: { pos: string; lp?: string; id: string }[];
}

/** The same map by Graphviz: the same boxes, and labels of the same size as our words. */
function graphviz(viz: Viz, map: TopicMap, { engine, rankdir }: { engine: string; rankdir: string }): Seen {
  const inch = 72;
  const graph = {
    graphAttributes: { rankdir, overlap: 'false', splines: 'true' },
    nodeAttributes: { shape: 'box', fixedsize: true, label: '' },
    nodes: map.topics.map(({ id, width, height }) => ({
      name: id,
      attributes: { width: width / inch, height: height / inch },
    })),
    edges: map.links.map((link) => {
      const edge = { tail: link.from, head: link.to };
      if (link.phrase === '') return { ...edge, attributes: { id: link.id } };
      const { width, height } = wordsOf(link);
      const html = `<table border="0" fixedsize="true" width="${width}" height="${height}"><tr><td></td></tr></table>`;
      return { ...edge, attributes: { id: link.id, label: { html } } };
    }) as Edge[],
  };
  const start = performance.now();
  const laid = viz.renderJSON(graph, { engine }) as Laid;
  const ms = performance.now() - start;
  const numbers = (text: string): number[] => text.split(/[ ,]/).map(Number);
  const boxes = (laid.objects ?? []).map(({ pos, width, height }) => {
    const [x, y] = numbers(pos);
    return boxOf({ x: x!, y: y!, width: Number(width) * inch, height: Number(height) * inch });
  });
  const links = new Map(map.links.map((link) => [link.id, link]));
  const drawn = (laid.edges ?? []).map(({ id, pos, lp }): Drawn => {
    const [x, y] = numbers(lp ?? '');
    const link = links.get(id)!;
    const words = y === undefined ? null : boxOf({ x: x!, y, ...wordsOf(link) });
    return { link, line: polyline(splineOf(pos)), words };
  });
  return { ...seen(boxes, drawn), ms };
}

/** The room of a link's words, as we draw them. */
function wordsOf(link: Link): { width: number; height: number } {
  const { left, top, right, bottom } = phraseAt(link, { x: 0, y: 0 })!.box;
  return { width: Math.ceil(right - left), height: Math.ceil(bottom - top) };
}

/** `e,x,y x,y x,y …`: an end, then a start and three points a cubic piece. */
function splineOf(pos: string): Point[] {
  const points = pos
    .split(' ')
    .filter((word) => !/^[es],/.test(word))
    .map((word): Point => {
      const [x, y] = word.split(',').map(Number);
      return { x: x!, y: y! };
    });
  const line: Point[] = [points[0]!];
  for (let i = 0; i + 3 < points.length; i += 3) {
    const [a, b, c, d] = [points[i]!, points[i + 1]!, points[i + 2]!, points[i + 3]!];
    for (let step = 1; step <= 10; step++) {
      const t = step / 10;
      const [p, q, r, s] = [(1 - t) ** 3, 3 * t * (1 - t) ** 2, 3 * t * t * (1 - t), t ** 3];
      line.push({ x: p * a.x + q * b.x + r * c.x + s * d.x, y: p * a.y + q * b.y + r * c.y + s * d.y });
    }
  }
  return line;
}
