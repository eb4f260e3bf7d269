import { instance } from '@viz-js/viz';
import type { Viz } from '@viz-js/viz';
import {
  applyChanges,
  boxesMeet,
  boxOf,
  drawLink,
  emptyMap,
  entersBox,
  fitTopic,
  meetingPoint,
  phraseAt,
  pick,
  polyline,
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
const MAPS = 40;
/** Graphviz's layout for each of ours, and the way its ranks go. */
const BESIDE: Record<Exclude<TidyWay, 'timeline'>, { engine: string; rankdir: string }> = {
  downward: { engine: 'dot', rankdir: 'TB' },
  outward: { engine: 'twopi', rankdir: 'TB' },
  sideways: { engine: 'dot', rankdir: 'LR' },
};

interface Seen {
  crossings: number;
  throughWords: number;
  overlaps: number;
  ms: number;
}

/** Tidying beside Graphviz, on 40 maps of 20 to 300 topics with words on every link: sums over all, each drawn as its maker draws. */
export async function benchTidy(): Promise<void> {
  const viz = await instance();
  const maps = Array.from({ length: MAPS }, (_, i) => mapWithWords(Math.round(20 * 15 ** (i / (MAPS - 1))), 100 + i));
  tidyMap(maps[20]!, { way: 'downward' });
  graphviz(viz, maps[20]!, BESIDE.downward);
  for (const way of ['downward', 'outward', 'sideways'] as const) {
    title(`Tidy ${way}, ${MAPS} maps of 20 to 300 topics: ours · Graphviz (${BESIDE[way].engine})`);
    const [ours, theirs] = [none(), none()];
    for (const map of maps) {
      add(ours, tidied(map, way));
      add(theirs, graphviz(viz, map, BESIDE[way]));
    }
    const both = (what: keyof Seen): string => `${Math.round(ours[what])} · ${Math.round(theirs[what])}`;
    line('crossings in all', both('crossings'), 'wanted: no more');
    line('lines over words in all', both('throughWords'), 'wanted: no more');
    line('topics on topics, words on words, words on topics', both('overlaps'));
    line('time', times(ours.ms / theirs.ms), 'wanted: at most 1');
  }
}

const none = (): Seen => ({ crossings: 0, throughWords: 0, overlaps: 0, ms: 0 });
function add(sum: Seen, one: Seen): void {
  for (const what of Object.keys(sum) as (keyof Seen)[]) sum[what] += one[what];
}

/** A tree as a student grows it, with a fifth as many ties across, most of them between topics that were made about together. */
export function mapWithWords(size: number, seed: number): TopicMap {
  const random = seeded(seed);
  const topics = Array.from({ length: size }, (_, i): Topic => {
    const text = `${pick(WORDS, random)} ${pick(WORDS, random)} ${i}`;
    const topic = { id: `t${i}`, text, kind: null, x: random() * 1500, y: random() * 1500, width: 0, height: 0 };
    return { ...topic, ...fitTopic(topic, undefined) };
  });
  const links: Link[] = [];
  const tie = (from: number, to: number): void => {
    if (from === to || links.some((link) => link.from === `t${from}` && link.to === `t${to}`)) return;
    links.push({ id: `l${links.length}`, from: `t${from}`, to: `t${to}`, phrase: pick(PHRASES, random), kind: null });
  };
  for (let i = 1; i < size; i++) tie(Math.floor(i * (0.1 + 0.6 * random())), i);
  for (let i = 0; i < size / 5; i++) {
    const from = Math.floor(random() * size);
    tie(from, Math.min(size - 1, Math.max(0, from + Math.round((random() - 0.5) * size * 0.4))));
  }
  return { ...emptyMap(), topics, links };
}

function tidied(map: TopicMap, way: TidyWay): Seen {
  const start = performance.now();
  const now = applyChanges(map, tidyMap(map, { way }));
  const ms = performance.now() - start;
  const byId = new Map(now.topics.map((topic) => [topic.id, topic]));
  const drawn = now.links.map((link) => {
    const drawing = drawLink(link, byId.get(link.from)!, byId.get(link.to)!, undefined);
    return { link, line: polyline(drawing.line), words: drawing.phrase?.box ?? null };
  });
  return {
    ...seen(
      now.topics.map((topic) => boxOf(topic)),
      drawn,
    ),
    ms,
  };
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
      const { width, height } = wordsOf(link);
      const label = {
        html: `<table border="0" fixedsize="true" width="${width}" height="${height}"><tr><td></td></tr></table>`,
      };
      return { tail: link.from, head: link.to, attributes: { id: link.id, label } };
    }),
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
