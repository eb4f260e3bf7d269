import { drawLink } from '../geometry/draw-link.js';
import type { LinkDrawing } from '../geometry/draw-link.js';
import { boxAround, distanceToSegment, holdsPoint, unionOf } from '../geometry/points.js';
import { LIMITS, LINK } from '../map/types.js';
import type { Link } from '../map/types.js';
import type { DrawnShape, MarkType, Scene } from './mark-type.js';
import { cut, or } from './repair.js';

/** How near its line counts as on it, canvas units. */
const REACH = 8;
const INK = '#16202e';

/** As a link is drawn between the two topics of its ends. */
const drawn = (link: Link, { legend, topicById }: Scene): LinkDrawing =>
  drawLink(link, topicById.get(link.from)!, topicById.get(link.to)!, legend);

export const linkMark: MarkType<Link> = {
  list: 'links',
  name: 'link',
  fields: LINK,
  repaired: ({ phrase, kind }) => ({ phrase: cut(phrase, LIMITS.text), kind: or(LINK.needs.kind, kind, null) }),
  unfit: ({ from, to }, isTopic) =>
    !isTopic(from) || !isTopic(to) ? 'end is gone' : from === to ? 'joins a topic to itself' : null,
  topics: ({ from, to }) => [from, to],
  onTopics: (link, idOf) => {
    const [from, to] = [idOf(link.from), idOf(link.to)];
    if (from === undefined || to === undefined) return null;
    return from === link.from && to === link.to ? link : { ...link, from, to };
  },
  isCopied: true,
  moved: (link) => link,
  bounds: (link, scene) => {
    const { line, phrase } = drawn(link, scene);
    return unionOf([...(line.length > 0 ? [boxAround(line)] : []), ...(phrase ? [phrase.box] : [])]);
  },
  draw: (link, scene) => {
    const { path, heads, phrase, style } = drawn(link, scene);
    const stroke = { colour: style.colour, width: style.width, dash: style.dash };
    const shapes: DrawnShape[] = [
      ...(path === '' ? [] : [{ draw: 'path', part: 'line', d: path, fill: 'none', stroke } as const]),
      ...heads.map(
        (head) => ({ draw: 'path', part: 'head', d: `M${head.map(corner).join('L')}Z`, fill: style.colour }) as const,
      ),
      ...(phrase ? wordsOn(phrase, style.phraseSize) : []),
    ];
    return { at: { x: 0, y: 0 }, z: style.z, shapes };
  },
  hits: (link, at, scene) => {
    const { line, phrase } = drawn(link, scene);
    return (
      (phrase !== null && holdsPoint(phrase.box, at)) ||
      line.slice(1).some((end, i) => distanceToSegment(at, line[i]!, end) <= REACH)
    );
  },
};

const round = (value: number): number => Math.round(value * 100) / 100;
const corner = ({ x, y }: { x: number; y: number }): string => `${round(x)} ${round(y)}`;

function wordsOn({ box, block, centre }: NonNullable<LinkDrawing['phrase']>, size: number): DrawnShape[] {
  const lines = block.lines.map((line, i) => ({
    ...line,
    x: centre.x - line.width / 2,
    y: box.top + 1 + (i + 0.5) * block.lineHeight + size * 0.34,
  }));
  return [
    { draw: 'ground', box },
    { draw: 'words', lines, ink: INK, size, bold: false, italic: false },
  ];
}
