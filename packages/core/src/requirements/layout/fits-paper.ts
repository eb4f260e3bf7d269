import { boxOf, unionOf } from '../../geometry/points.js';
import { CLOSE } from '../../map/kinds.js';
import { topicStyle } from '../../map/style.js';
import { ramp } from '../fractions.js';
import { requirementType } from '../types.js';

/** The shorter and the longer side, millimetres. */
const PAPERS = { A4: [210, 297], Letter: [215.9, 279.4] } as const;
const [MARGIN_MM, AROUND, MM_A_UNIT, POINTS_A_UNIT] = [10, 20, 25.4 / 96, 0.75];

/** What of a sheet can be printed on, canvas units. */
export function paperSide(
  paper: 'A4' | 'Letter',
  orientation: 'landscape' | 'portrait',
): { width: number; height: number } {
  const [short, long] = PAPERS[paper].map((side) => (side - 2 * MARGIN_MM) / MM_A_UNIT) as [number, number];
  return orientation === 'landscape' ? { width: long, height: short } : { width: short, height: long };
}

export const fitsPaper = requirementType({
  id: 'fits-paper',
  group: 'layout',
  asks: () => 'kept',
  readsPlaces: true,
  params: {
    paper: { type: 'choice', options: ['A4', 'Letter'], default: 'A4' },
    orientation: { type: 'choice', options: ['either', 'landscape', 'portrait'], default: 'either' },
    minPoint: { type: 'number', default: 7, least: 1, most: 72 },
  },
  sentence:
    'Printed on <b-paper>{paper}</b-paper>' +
    '{orientation, select, either {} landscape { <b-orientation>landscape</b-orientation>} other { <b-orientation>portrait</b-orientation>}}' +
    ', the smallest words are at least <b-minPoint>{minPoint}</b-minPoint> point',
  messages: {
    fits: 'The smallest words print at {point} point.',
    small: 'The smallest words print at {point} point instead of {min}: draw the map closer together.',
    topic: '“{text}” prints at {point} point: too small to read.',
  },
  check: ({ paper, orientation, minPoint }, { index, assignment: { legend } }) => {
    const { topics } = index.map;
    const box = unionOf(topics.map((topic) => boxOf(topic, AROUND)));
    if (!box) return { fraction: 0, code: 'small', data: { point: 0, min: minPoint }, evidence: [] };
    const scaleOn = (lies: 'landscape' | 'portrait'): number => {
      const { width, height } = paperSide(paper, lies);
      return Math.min(1, width / (box.right - box.left), height / (box.bottom - box.top));
    };
    const [landscape, portrait] = [scaleOn('landscape'), scaleOn('portrait')];
    const scale =
      orientation === 'either' ? Math.max(landscape, portrait) : orientation === 'landscape' ? landscape : portrait;
    const points = topics.map((topic) => ({
      topic,
      point: topicStyle(topic, legend).fontSize * POINTS_A_UNIT * scale,
    }));
    const smallest = points.reduce((least, { point }) => Math.min(least, point), Infinity);
    const tenth = (point: number): number => Math.floor(point * 10) / 10;
    const small = points.filter(({ point }) => point < minPoint - CLOSE);
    return {
      fraction: ramp(smallest, minPoint),
      figures: { point: smallest, scale },
      code: small.length ? 'small' : 'fits',
      data: { point: tenth(smallest), min: minPoint },
      evidence: small.map(({ topic, point }) => ({
        code: 'topic',
        data: { text: topic.text, point: tenth(point) },
        topics: [topic.id],
      })),
    };
  },
});
