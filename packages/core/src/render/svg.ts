import { drawnBox, drawnMarks } from '../drawn/drawn.js';
import type { DrawnShape, Drawing } from '../drawn/mark-type.js';
import type { Box } from '../geometry/points.js';
import { familyList } from '../geometry/font-families.js';
import { dashArray } from './strokes.js';
import { escaped, fixed, textSvg } from './svg-text.js';
import { BLOCK_WIDTH, titleBlockSvg } from './title-block.js';
import type { TitleBlockText } from './title-block.js';
import type { Legend, TopicMap } from '../map/types.js';

const PAPER = '#ffffff';

interface Options {
  margin?: number;
  title?: string;
  block?: TitleBlockText;
  /** the part of it that is drawn, as on one of several sheets; left out: all */
  view?: Box;
  /** what is said of it beside its name */
  description?: string;
  /** of a document that stands alone: rules for how it is drawn, such as its fonts */
  rules?: string;
  /** where a picture's content is: an address, or for a document that stands alone a data address; null draws its words */
  hrefOf?: HrefOf;
}
export type HrefOf = (src: string) => string | null;

/** Around all that is drawn of a map with its title block, canvas units, and the block itself. */
function sheetOf(map: TopicMap, legend: Legend | undefined, margin: number, block: TitleBlockText | undefined) {
  const drawn = drawnBox(map, legend) ?? { left: 0, top: 0, right: 0, bottom: 0 };
  const [left, top] = [drawn.left - margin, drawn.top - margin];
  const right = Math.max(drawn.right + margin, block ? left + BLOCK_WIDTH + 2 * margin : -Infinity);
  const below = block ? titleBlockSvg(block, right - BLOCK_WIDTH - margin, drawn.bottom + margin) : null;
  const bottom = drawn.bottom + margin + (below ? below.height + margin : 0);
  return { box: { left, top, right, bottom }, below };
}
export const sheetBox = (map: TopicMap, legend: Legend | undefined, margin: number, block: TitleBlockText): Box =>
  sheetOf(map, legend, margin, block).box;

/**
 * A map as a standalone SVG document. `title` is its accessible name; `block` sets a title block below, at the right.
 * Twice the same map, twice the same text.
 */
export function mapToSvg(
  map: TopicMap,
  legend: Legend | undefined,
  { margin = 20, title = map.title, description, rules, block, view, hrefOf = () => null }: Options = {},
): string {
  const { box, below } = sheetOf(map, legend, margin, block);
  const { left, top, right, bottom } = view ?? box;
  const [width, height] = [fixed(right - left), fixed(bottom - top)];
  const marks = drawnMarks(map, legend).map(({ drawing }) => drawingSvg(drawing, hrefOf));
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" viewBox="${fixed(left)} ${fixed(top)} ${width} ${height}"`,
    ` width="${width}" height="${height}" role="img" font-family="${familyList()}" style="font-kerning:none;text-rendering:geometricPrecision">`,
    `<title>${escaped(title)}</title>`,
    description === undefined ? '' : `<desc>${escaped(description)}</desc>`,
    rules === undefined ? '' : `<style>${escaped(rules)}</style>`,
    ...marks,
    below?.svg ?? '',
    '</svg>',
  ].join('');
}

function drawingSvg({ at, shapes }: Drawing, hrefOf: HrefOf): string {
  const svg = shapes.map((shape) => shapeSvg(shape, hrefOf)).join('');
  return at.x === 0 && at.y === 0 ? svg : `<g transform="translate(${fixed(at.x)} ${fixed(at.y)})">${svg}</g>`;
}

function shapeSvg(shape: DrawnShape, hrefOf: HrefOf): string {
  switch (shape.draw) {
    case 'path': {
      const { d, fill, opacity, stroke } = shape;
      const line = stroke ? ` stroke="${stroke.colour}" stroke-width="${stroke.width}"${dashArray(stroke)}` : '';
      return `<path d="${d}" fill="${fill}"${opacity === undefined ? '' : ` fill-opacity="${opacity}"`}${line}/>`;
    }
    case 'ground': {
      const { left, top, right, bottom } = shape.box;
      return (
        `<rect x="${fixed(left)}" y="${fixed(top)}" width="${fixed(right - left)}" height="${fixed(bottom - top)}" ` +
        `fill="${PAPER}" fill-opacity="0.9"/>`
      );
    }
    case 'image': {
      const { src, alt, box, instead, opacity } = shape;
      const href = hrefOf(src);
      if (href === null) return instead.map((one) => shapeSvg(one, hrefOf)).join('');
      const [width, height] = [fixed(box.right - box.left), fixed(box.bottom - box.top)];
      return (
        `<image href="${escaped(href)}" x="${fixed(box.left)}" y="${fixed(box.top)}" width="${width}" height="${height}"${opacity === undefined ? '' : ` opacity="${opacity}"`}>` +
        `<title>${escaped(alt)}</title></image>`
      );
    }
    case 'words': {
      const { lines, ink, size, bold, italic } = shape;
      const face = `${bold ? ' font-weight="700"' : ''}${italic ? ' font-style="italic"' : ''}`;
      return `<g fill="${ink}" font-size="${size}"${face}>${lines.map(textSvg).join('')}</g>`;
    }
  }
}
