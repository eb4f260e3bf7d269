import { fitTopic } from '../geometry/fit.js';
import { emptyMap } from '../map/types.js';
import type { Assignment, Legend, Link, Topic, TopicMap } from '../map/types.js';

/** Small maps written as they look: rows of topics, each in its place, and links between them. */

export const exampleLegend: Legend = {
  topicKinds: [
    {
      id: 'bridge',
      name: 'Bridge',
      purpose: '',
      givenBy: 'teacher',
      shape: 'capsule',
      fill: '#cfe0dc',
      outline: '#2f5d55',
      root: true,
    },
    {
      id: 'part',
      name: 'Part',
      purpose: '',
      givenBy: 'teacher',
      shape: 'rectangle',
      fill: '#d7e7ec',
      outline: '#35596a',
    },
    {
      id: 'force',
      name: 'Force',
      purpose: '',
      givenBy: 'teacher',
      shape: 'trapezoid',
      fill: '#e3ddf2',
      outline: '#5a4b86',
    },
    {
      id: 'family',
      name: 'Family',
      purpose: '',
      givenBy: 'student',
      shape: 'parallelogram',
      fill: '#f6dcd2',
      outline: '#9a5138',
    },
    {
      id: 'target',
      name: 'Target',
      purpose: '',
      givenBy: 'teacher',
      shape: 'signpost',
      fill: '#ffffff',
      outline: '#7a2e5d',
      structural: false,
    },
  ],
  linkKinds: [
    { id: 'says', name: 'says' },
    { id: 'shows', name: 'shows', route: 'elbow', dash: 'dashed', width: 3.5, colour: '#7a2e5d', structural: false },
  ],
};

export const exampleAssignment: Assignment = {
  title: 'How bridges carry loads',
  focusQuestion: '',
  brief: '',
  language: 'en',
  styleMode: 'guided',
  legend: exampleLegend,
  terms: [],
  root: 'Bridge',
  starter: null,
  reference: null,
  requirements: [],
  criteria: [],
};

const KIND_MARKS: Record<string, string | null> = {
  '*': 'bridge',
  '^': 'force',
  '+': 'family',
  '!': 'target',
  '~': null,
};
const [ACROSS, DOWN] = [150, 92];

export interface More {
  /** by a topic's text */
  topics?: Record<string, Partial<Topic>>;
  /** by "From > To" */
  links?: Record<string, Partial<Link>>;
  map?: Partial<TopicMap>;
}

/**
 * @param rows each "Arch | Pier", one cell a place, an empty cell leaving it free. A topic is a part, or what its first
 *   character says: `*` the bridge, `^` a force, `+` a family, `!` a target, `~` of no kind. Its id is its text.
 * @param links each "Arch > Pier: stands on"
 */
export function sketch(rows: readonly string[], links: readonly string[] = [], more: More = {}): TopicMap {
  const topics = rows.flatMap((row, r) => {
    const cells = row.split('|').map((cell) => cell.trim());
    return cells.flatMap((cell, c): Topic[] => {
      if (cell === '') return [];
      const mark = cell[0]!;
      const isMarked = mark in KIND_MARKS;
      const text = isMarked ? cell.slice(1) : cell;
      const topic: Topic = {
        id: text,
        text,
        kind: isMarked ? KIND_MARKS[mark]! : 'part',
        x: (c - (cells.length - 1) / 2) * ACROSS,
        y: r * DOWN,
        width: 0,
        height: 0,
        ...more.topics?.[text],
      };
      return [{ ...topic, ...fitTopic(topic, exampleLegend) }];
    });
  });
  return {
    ...emptyMap(),
    topics,
    links: links.map((written, i): Link => {
      const [ends = '', phrase = ''] = written.split(': ');
      const [from = '', to = ''] = ends.split(' > ');
      return { id: `link-${i + 1}`, from, to, phrase, kind: 'says', ...more.links?.[`${from} > ${to}`] };
    }),
    ...more.map,
  };
}
