import { drawnBox } from '../drawn/drawn.js';
import { linkStyle, topicStyle } from '../map/style.js';
import type { Legend, TopicMap } from '../map/types.js';
import { isBlank } from '../words/normal-form.js';

/** Sheets of paper (ISO 216), millimetres, upright. */
export const PAPERS = { A4: { width: 210, height: 297 }, A3: { width: 297, height: 420 } } as const;
export type Paper = keyof typeof PAPERS;

/** What a printer leaves free on every side, millimetres; points in one; a canvas unit in points. */
export const [PRINT_MARGIN, POINTS_PER_MM, POINTS_PER_UNIT] = [10, 72 / 25.4, 0.75];
/** Letters that are smaller cannot be read on paper, points. */
export const LEAST_POINTS = 6;

export interface PaperPage {
  paper: Paper;
  sideways: boolean;
}

/** What of a page is printed on, points. */
export function printedOn({ paper, sideways }: PaperPage): { width: number; height: number } {
  const { width, height } = PAPERS[paper];
  const [across, down] = sideways ? [height, width] : [width, height];
  return {
    width: (across - 2 * PRINT_MARGIN) * POINTS_PER_MM,
    height: (down - 2 * PRINT_MARGIN) * POINTS_PER_MM,
  };
}

/** The size of a map's smallest letters, canvas units; of an empty map, no limit. */
export function smallestLetters(map: TopicMap, legend: Legend | undefined): number {
  const ofTopics = map.topics.map((topic) => topicStyle(topic, legend).fontSize);
  const ofWords = map.links
    .filter(({ phrase }) => !isBlank(phrase))
    .map((link) => linkStyle(link, legend))
    .filter(({ width }) => width > 0)
    .map(({ phraseSize }) => phraseSize);
  return [...ofTopics, ...ofWords].reduce((least, size) => Math.min(least, size), Infinity);
}

/**
 * How high the smallest letters of a map are when it is fitted to a page, points; whole halves. An empty map has none.
 * @param below what stands below the map, such as its title block, canvas units
 */
export function pointsOn(map: TopicMap, legend: Legend | undefined, page: PaperPage, below = 0): number {
  const box = drawnBox(map, legend);
  if (!box) return Infinity;
  const { width, height } = printedOn(page);
  const fitted = Math.min(
    1,
    width / POINTS_PER_UNIT / (box.right - box.left || 1),
    height / POINTS_PER_UNIT / (box.bottom - box.top + below || 1),
  );
  return Math.round(smallestLetters(map, legend) * POINTS_PER_UNIT * fitted * 2) / 2;
}

/** The page on which a map is printed largest, of those that lie in a school's printer. */
export function bestPage(map: TopicMap, legend: Legend | undefined, below = 0): PaperPage {
  const upright = pointsOn(map, legend, { paper: 'A4', sideways: false }, below);
  const sideways = pointsOn(map, legend, { paper: 'A4', sideways: true }, below);
  return { paper: 'A4', sideways: sideways >= upright };
}
