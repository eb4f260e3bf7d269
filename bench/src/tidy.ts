import { instance } from '@viz-js/viz';
import { applyChanges, drawnBox, fitTopic, pick, SCREEN, seeded, tidyMap } from '@ichnograph/core';
import type { Link, TidyWay, TopicMap } from '@ichnograph/core';
import { lettersOf } from './anneal.js';
import { boundByAnnealing } from './annealed.js';
import { BESIDE, graphviz } from './graphviz.js';
import { line, title, times } from './measure.js';
import { seenOf } from './seen.js';
import type { Seen } from './seen.js';
import { FRAMED, MAPS, mostLetters, SETS } from './tidy-maps.js';

const WAYS = ['downward', 'outward', 'sideways'] as const;

/**
 * Tidying beside Graphviz: sums over the maps of each set, each drawn as its maker draws; and in a frame, its letters beside
 * what they could be if topics and words left nothing between them, and how much stays where it is after a small change.
 */
export async function benchTidy(): Promise<void> {
  const viz = await instance();
  const bounds = boundByAnnealing();
  for (const [name, maps] of SETS)
    for (const way of WAYS) {
      title(`Tidy ${way}, ${MAPS} maps (${name}): ours · Graphviz (${BESIDE[way].engine})`);
      const [ours, theirs] = [none(), none()];
      for (const map of maps) {
        add(ours, tidied(map, way));
        add(theirs, graphviz(viz, map, BESIDE[way]));
      }
      const both = (what: keyof Timed): string => `${Math.round(ours[what])} · ${Math.round(theirs[what])}`;
      const bound = bounds[name]!.crossings;
      line('crossings in all', both('crossings'), `wanted: at most 0.95 ×; by annealing, in no order: ${bound}`);
      line('lines over words in all', both('throughWords'), 'wanted: none');
      line('topics on topics, words on words, words on topics', both('overlaps'), 'wanted: none');
      line('time', times(ours.ms / theirs.ms), 'wanted: at most 1');
    }
  for (const way of WAYS) benchFrame(way, bounds);
}

/** What is wanted of letters, as a share of the most they could be, up to so many topics. */
const WANTED = [
  [50, 0.5],
  [100, 0.45],
  [Infinity, 0.35],
] as const;
const CHANGES = 6;

function benchFrame(way: (typeof WAYS)[number], bounds: ReturnType<typeof boundByAnnealing>): void {
  title(`Tidy ${way} in a frame of ${SCREEN.width} × ${SCREEN.height}`);
  for (const [name, maps] of SETS)
    for (const [m, map] of FRAMED.map((at) => maps[at]!).entries()) {
      const once = applyChanges(map, tidyMap(map, { way, frame: SCREEN }));
      const share = lettersOf(once) / mostLetters(once);
      const size = map.topics.length;
      const wanted = WANTED.find(([most]) => size <= most)![1] - (way === 'outward' ? 0.1 : 0);
      const { crossings, throughWords, overlaps } = seenOf(once);
      line(
        `${size} topics, ${name}: letters`,
        `${share.toFixed(2)} of the most`,
        `wanted: ${wanted.toFixed(2)}; by annealing ${bounds[name]!.letters[m]}; ${throughWords} lines over words, ${overlaps} on each other, ${crossings} crossings`,
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

type Timed = Seen & { ms: number };
const none = (): Timed => ({ crossings: 0, throughWords: 0, overlaps: 0, ms: 0 });
function add(sum: Timed, one: Timed): void {
  for (const what of Object.keys(sum) as (keyof Timed)[]) sum[what] += one[what];
}

function tidied(map: TopicMap, way: TidyWay): Timed {
  const start = performance.now();
  const now = applyChanges(map, tidyMap(map, { way }));
  const ms = performance.now() - start;
  return { ...seenOf(now), ms };
}
