import type { Edge, Viz } from '@viz-js/viz';
import { boxOf, phraseAt, polyline } from '@ichnograph/core';
import type { Link, Point, TidyWay, TopicMap } from '@ichnograph/core';
import { seen } from './seen.js';
import type { Drawn, Seen } from './seen.js';

/** Graphviz's layout for each of ours, and the way its ranks go. */
export const BESIDE: Record<Exclude<TidyWay, 'timeline'>, { engine: string; rankdir: string }> = {
  downward: { engine: 'dot', rankdir: 'TB' },
  outward: { engine: 'twopi', rankdir: 'TB' },
  sideways: { engine: 'dot', rankdir: 'LR' },
};

interface Laid {
  objects?: { name: string; pos: string; width: string; height: string }[];
  edges?: { pos: string; lp?: string; id: string }[];
}

/** The same map by Graphviz: the same boxes, and labels of the same size as our words. */
export function graphviz(
  viz: Viz,
  map: TopicMap,
  { engine, rankdir }: { engine: string; rankdir: string },
): Seen & { ms: number } {
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
