import { drawLink, PHRASE_SIZE } from '../geometry/draw-link.js';
import { drawTopic } from '../geometry/draw-topic.js';
import { boxOf, unionOf } from '../geometry/points.js';
import type { Box } from '../geometry/points.js';
import { dashArray } from './strokes.js';
import { drawingOrder } from './drawing-order.js';
import { escaped, fixed, textSvg } from './svg-text.js';
import { BLOCK_WIDTH, titleBlockSvg } from './title-block.js';
import type { TitleBlockText } from './title-block.js';
import type { Legend, TopicMap } from '../map/types.js';

export const FONT_FAMILY = 'Atkinson Hyperlegible Next';
const PAPER = '#ffffff';

/** The box around all that is drawn of a map, in canvas units; null for an empty one. */
export function drawnBox(map: TopicMap, legend: Legend | undefined): Box | null {
  const topicById = new Map(map.topics.map((topic) => [topic.id, topic]));
  return unionOf([
    ...map.topics.map((topic) => boxOf(topic)),
    ...map.links.flatMap((link) => {
      const drawing = drawLink(link, topicById.get(link.from)!, topicById.get(link.to)!, legend);
      return [
        ...(drawing.phrase ? [drawing.phrase.box] : []),
        ...drawing.line.map(({ x, y }) => ({ left: x, top: y, right: x, bottom: y })),
      ];
    }),
  ]);
}

interface Options {
  margin?: number;
  title?: string;
  block?: TitleBlockText;
}

/**
 * A map as a standalone SVG document. `title` is its accessible name; `block` sets a title block below, at the right.
 * Twice the same map, twice the same text.
 */
export function mapToSvg(
  map: TopicMap,
  legend: Legend | undefined,
  { margin = 20, title = map.title, block }: Options = {},
): string {
  const drawn = drawnBox(map, legend) ?? { left: 0, top: 0, right: 100, bottom: 60 };
  const [left, top] = [drawn.left - margin, drawn.top - margin];
  const right = Math.max(drawn.right + margin, block ? left + BLOCK_WIDTH + 2 * margin : -Infinity);
  const below = block ? titleBlockSvg(block, right - BLOCK_WIDTH - margin, drawn.bottom + margin) : null;
  const bottom = drawn.bottom + margin + (below ? below.height + margin : 0);
  const [width, height] = [fixed(right - left), fixed(bottom - top)];
  const topicById = new Map(map.topics.map((topic) => [topic.id, topic]));
  const marks = drawingOrder(map, legend).map((mark) =>
    mark.what === 'topic'
      ? topicSvg(drawTopic(mark.topic, legend), mark.topic)
      : linkSvg(drawLink(mark.link, topicById.get(mark.link.from)!, topicById.get(mark.link.to)!, legend)),
  );
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" viewBox="${fixed(left)} ${fixed(top)} ${width} ${height}"`,
    ` width="${width}" height="${height}" role="img" font-family="'${FONT_FAMILY}', sans-serif" style="font-kerning:none">`,
    `<title>${escaped(title)}</title>`,
    ...marks,
    below?.svg ?? '',
    '</svg>',
  ].join('');
}

function topicSvg(drawing: ReturnType<typeof drawTopic>, { x, y }: { x: number; y: number }): string {
  const { style, outline, fold, lines } = drawing;
  const stroke = style.shape === 'plain' ? 'none' : style.outline;
  const face = `font-size="${style.fontSize}"${style.bold ? ' font-weight="700"' : ''}${style.italic ? ' font-style="italic"' : ''}`;
  return (
    `<g transform="translate(${fixed(x)} ${fixed(y)})"><path d="${outline}" fill="${style.fill}" stroke="${stroke}" stroke-width="1.25"/>` +
    (fold ? `<path d="${fold}" fill="none" stroke="${stroke}" stroke-width="1"/>` : '') +
    `<g fill="${style.ink}" ${face}>${lines.map(textSvg).join('')}</g></g>`
  );
}

function linkSvg({ path, heads, phrase, style }: ReturnType<typeof drawLink>): string {
  const shaft =
    path && `<path d="${path}" fill="none" stroke="${style.colour}" stroke-width="${style.width}"${dashArray(style)}/>`;
  const arrows = heads.map(
    (head) => `<path d="M${head.map(({ x, y }) => `${fixed(x)} ${fixed(y)}`).join('L')}Z" fill="${style.colour}"/>`,
  );
  if (!phrase) return shaft + arrows.join('');
  const { box, block, centre } = phrase;
  const lines = block.lines.map((line, i) =>
    textSvg({
      ...line,
      x: centre.x - line.width / 2,
      y: box.top + 1 + (i + 0.5) * block.lineHeight + PHRASE_SIZE * 0.34,
    }),
  );
  return (
    `${shaft}${arrows.join('')}<rect x="${fixed(box.left)}" y="${fixed(box.top)}" width="${fixed(box.right - box.left)}" ` +
    `height="${fixed(box.bottom - box.top)}" fill="${PAPER}" fill-opacity="0.9"/><g fill="#16202e" font-size="${PHRASE_SIZE}">${lines.join('')}</g>`
  );
}
