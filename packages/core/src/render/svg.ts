import { drawLink, PHRASE_SIZE } from '../geometry/draw-link.js';
import { drawTopic } from '../geometry/draw-topic.js';
import { boxOf, unionOf } from '../geometry/points.js';
import type { Box } from '../geometry/points.js';
import { dashArray } from './strokes.js';
import { drawingOrder } from './drawing-order.js';
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

/** A map as a standalone SVG document. `title` is its accessible name. Twice the same map, twice the same text. */
export function mapToSvg(map: TopicMap, legend: Legend | undefined, { margin = 20, title = map.title } = {}): string {
  const box = drawnBox(map, legend) ?? { left: 0, top: 0, right: 100, bottom: 60 };
  const [width, height] = [box.right - box.left + 2 * margin, box.bottom - box.top + 2 * margin].map(fixed);
  const topicById = new Map(map.topics.map((topic) => [topic.id, topic]));
  const marks = drawingOrder(map, legend).map((mark) => mark.what === 'topic'
    ? topicSvg(drawTopic(mark.topic, legend), mark.topic)
    : linkSvg(drawLink(mark.link, topicById.get(mark.link.from)!, topicById.get(mark.link.to)!, legend)));
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" viewBox="${fixed(box.left - margin)} ${fixed(box.top - margin)} ${width} ${height}"`,
    ` width="${width}" height="${height}" role="img" font-family="'${FONT_FAMILY}', sans-serif" style="font-kerning:none">`,
    `<title>${escaped(title)}</title>`, ...marks, '</svg>',
  ].join('');
}

function topicSvg(drawing: ReturnType<typeof drawTopic>, { x, y }: { x: number; y: number }): string {
  const { style, outline, fold, lines } = drawing;
  const stroke = style.shape === 'plain' ? 'none' : style.outline;
  const face = `font-size="${style.fontSize}"${style.bold ? ' font-weight="700"' : ''}${style.italic ? ' font-style="italic"' : ''}`;
  return `<g transform="translate(${fixed(x)} ${fixed(y)})"><path d="${outline}" fill="${style.fill}" stroke="${stroke}" stroke-width="1.25"/>`
    + (fold ? `<path d="${fold}" fill="none" stroke="${stroke}" stroke-width="1"/>` : '')
    + `<g fill="${style.ink}" ${face}>${lines.map(lineSvg).join('')}</g></g>`;
}

function linkSvg({ path, heads, phrase, style }: ReturnType<typeof drawLink>): string {
  const shaft = path && `<path d="${path}" fill="none" stroke="${style.colour}" stroke-width="${style.width}"${dashArray(style)}/>`;
  const arrows = heads.map((head) => `<path d="M${head.map(({ x, y }) => `${fixed(x)} ${fixed(y)}`).join('L')}Z" fill="${style.colour}"/>`);
  if (!phrase) return shaft + arrows.join('');
  const { box, block, centre } = phrase;
  const lines = block.lines.map((line, i) => lineSvg({
    ...line, x: centre.x - line.width / 2, y: box.top + 1 + (i + 0.5) * block.lineHeight + PHRASE_SIZE * 0.34,
  }));
  return `${shaft}${arrows.join('')}<rect x="${fixed(box.left)}" y="${fixed(box.top)}" width="${fixed(box.right - box.left)}" `
    + `height="${fixed(box.bottom - box.top)}" fill="${PAPER}" fill-opacity="0.9"/><g fill="#16202e" font-size="${PHRASE_SIZE}">${lines.join('')}</g>`;
}

const lineSvg = (line: { text: string; x: number; y: number; width: number; foreign: boolean }): string =>
  `<text x="${fixed(line.x)}" y="${fixed(line.y)}"${line.foreign ? ` textLength="${fixed(line.width)}" lengthAdjust="spacingAndGlyphs"` : ''}>${escaped(line.text)}</text>`;

const fixed = (value: number): string => String(Math.round(value * 100) / 100);
const escaped = (text: string): string =>
  // Control characters are not XML; a map that carries one must not make an unreadable picture.
  text.replace(/\p{Cc}/gu, (c) => (/\s/.test(c) ? ' ' : '')).replace(/[&<>"]/g, (c) => `&#${c.charCodeAt(0)};`);
