import { linkStyle, PHRASE_SIZE, topicStyle } from '../map/style.js';
import type { LinkStyle } from '../map/style.js';
import type { Legend, Link, Topic } from '../map/types.js';
import { isBlank } from '../words/normal-form.js';
import { remembered } from '../words/word-forms.js';
import { longestOutside } from './drawn-part.js';
import type { Solid } from './drawn-part.js';
import { centreLine } from './path.js';
import { boxOf, distance, pointAlong } from './points.js';
import type { Box, Point } from './points.js';
import { isSharp, outlineCorners } from './shapes.js';
import { layoutText } from './text.js';
import type { TextBlock } from './text.js';

/** How wide words of that size may run; larger ones in proportion. */
const PHRASE_WIDTH = 150;

export interface LinkDrawing {
  /** from outline to outline; empty when the shapes cover the whole line */
  line: Point[];
  /** SVG path data of `line`, shortened so that it does not show beyond its arrow heads */
  path: string;
  /** each a triangle: tip, then the two ends of its base */
  heads: Point[][];
  phrase: { block: TextBlock; box: Box; centre: Point } | null;
  style: LinkStyle;
}

interface Drawn {
  from: Topic;
  to: Topic;
  legend: Legend | undefined;
  drawing: LinkDrawing;
}
/** How a link was drawn last: canvas, rings and grips ask for the same one after the other. */
const drawn = new WeakMap<Link, Drawn>();

/** Everything a drawing of a link needs: its path, its arrow heads and where its words stand, in canvas units. */
export function drawLink(link: Link, from: Topic, to: Topic, legend: Legend | undefined): LinkDrawing {
  const known = drawn.get(link);
  if (known?.from === from && known.to === to && known.legend === legend) return known.drawing;
  const drawing = drawAnew(link, from, to, legend);
  drawn.set(link, { from, to, legend, drawing });
  return drawing;
}

function drawAnew(link: Link, from: Topic, to: Topic, legend: Legend | undefined): LinkDrawing {
  const style = linkStyle(link, legend);
  const line = visibleLine(style, from, to, [outlineSolid(from, legend), outlineSolid(to, legend)]);
  const size = 7 + 1.6 * style.width;
  const atEnd = style.arrow !== 'none' ? headAt(line, size) : null;
  const atStart = style.arrow === 'both' ? headAt([...line].reverse(), size) : null;
  const shaft = shortened(line, atStart ? size * 0.7 : 0, atEnd ? size * 0.7 : 0);
  return {
    line,
    style,
    path: pathData(shaft),
    heads: [atEnd, atStart].filter((head) => head !== null),
    phrase: isBlank(link.phrase) ? null : phraseAt(link, pointAlong(line, style.phraseAt)),
  };
}

/** What a drawing takes off a link's line at a topic. */
const outlineSolid = (topic: Topic, legend: Legend | undefined): Solid => ({
  corners: outlineCorners(topicStyle(topic, legend).shape, topic),
  box: boxOf(topic),
});

/** The same, given what checks take off there: the very same object where drawings and checks take off the same. */
export const drawnSolid = (topic: Topic, legend: Legend | undefined, checked: Solid): Solid =>
  isSharp(topicStyle(topic, legend).shape) ? checked : outlineSolid(topic, legend);

export const visibleLine = ({ route, bend }: LinkStyle, from: Topic, to: Topic, ends: readonly Solid[]): Point[] =>
  longestOutside(centreLine(from, to, route, bend), ends);

/** The box of words laid out before on a link, as `drawLink` has it; null without a line to put them on. */
export function phraseBoxOn(line: readonly Point[], phraseAt: number, block: TextBlock): Box | null {
  const centre = pointAlong(line, phraseAt);
  return centre && boxAt(centre, block);
}

type Worded = Pick<Link, 'phrase' | 'phraseSize'>;

export const phraseBlock = ({ phrase, phraseSize: fontSize = PHRASE_SIZE }: Worded): TextBlock =>
  layoutText(phrase, { fontSize }, (PHRASE_WIDTH * fontSize) / PHRASE_SIZE);

/** The same, remembered: a map has many links of the same words. */
export function phraseBlocks(): (link: Worded) => TextBlock {
  const ofSize = remembered((size) => remembered((phrase) => phraseBlock({ phrase, phraseSize: Number(size) })));
  return ({ phrase, phraseSize = PHRASE_SIZE }) => ofSize(String(phraseSize))(phrase);
}

function boxAt({ x, y }: Point, { width, height }: TextBlock): Box {
  const [halfWidth, halfHeight] = [width / 2 + 3, height / 2 + 1];
  return { left: x - halfWidth, top: y - halfHeight, right: x + halfWidth, bottom: y + halfHeight };
}

/** A phrase laid out around a point of its link. */
export function phraseAt(link: Worded, centre: Point | null): LinkDrawing['phrase'] {
  if (!centre) return null;
  const block = phraseBlock(link);
  return { block, box: boxAt(centre, block), centre };
}

export const pathData = (line: readonly Point[]): string =>
  line.map(({ x, y }, i) => `${i === 0 ? 'M' : 'L'}${round(x)} ${round(y)}`).join('');

const round = (value: number): number => Math.round(value * 100) / 100;

/** The arrow head whose tip is the last point of the line, turned the way the line comes in over the head's length. */
function headAt(line: readonly Point[], size: number): Point[] | null {
  const tip = line.at(-1);
  if (!tip || line.length < 2) return null;
  let base = line[0]!;
  for (let i = line.length - 2; i >= 0; i--) {
    base = line[i]!;
    if (distance(base, tip) >= size) break;
  }
  const far = distance(base, tip);
  if (far === 0) return null;
  const [ux, uy] = [(tip.x - base.x) / far, (tip.y - base.y) / far];
  const wing = (turn: number): Point => ({
    x: tip.x - ux * size - turn * uy * size * 0.42,
    y: tip.y - uy * size + turn * ux * size * 0.42,
  });
  return [tip, wing(1), wing(-1)];
}

function shortened(line: readonly Point[], atStart: number, atEnd: number): Point[] {
  return trimStart([...trimStart([...line], atStart)].reverse(), atEnd).reverse();
}

function trimStart(line: Point[], by: number): Point[] {
  let left = by;
  while (line.length > 2 && distance(line[0]!, line[1]!) <= left) {
    left -= distance(line[0]!, line[1]!);
    line.shift();
  }
  const [a, b] = line;
  if (left <= 0 || !a || !b) return line;
  const step = distance(a, b);
  if (step <= left) return line;
  return [{ x: a.x + ((b.x - a.x) * left) / step, y: a.y + ((b.y - a.y) * left) / step }, ...line.slice(1)];
}
