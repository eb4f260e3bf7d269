import { emptyMap } from '../map/types.js';
import type { Assignment, Link, Topic, TopicMap } from '../map/types.js';

/** Short ways to write maps and assignments in tests. */

export const topic = (id: string, fields: Partial<Topic> = {}): Topic => ({
  id,
  text: id,
  kind: null,
  x: 0,
  y: 0,
  width: 100,
  height: 40,
  ...fields,
});

export const link = (from: string, to: string, fields: Partial<Link> = {}): Link => ({
  id: `${from}-${to}`,
  from,
  to,
  phrase: 'holds',
  kind: null,
  ...fields,
});

export const mapOf = (topics: Topic[], links: Link[] = []): TopicMap => ({ ...emptyMap(), topics, links });

export const assignmentOf = (fields: Partial<Assignment> = {}): Assignment => ({
  title: 'A',
  focusQuestion: '',
  brief: '',
  language: 'en',
  styleMode: 'guided',
  legend: {
    topicKinds: [
      { id: 'root', name: 'Bridge', purpose: '', givenBy: 'teacher', shape: 'capsule', fill: '#cfe0dc', root: true },
      { id: 'part', name: 'Part', purpose: '', givenBy: 'teacher', shape: 'rectangle', fill: '#d7e7ec' },
      { id: 'own', name: 'Family', purpose: '', givenBy: 'student', shape: 'parallelogram', fill: '#f6dcd2' },
      {
        id: 'target',
        name: 'Target',
        purpose: '',
        givenBy: 'teacher',
        shape: 'signpost',
        fill: '#ffffff',
        structural: false,
      },
    ],
    linkKinds: [
      { id: 'says', name: 'says' },
      { id: 'shows', name: 'shows', route: 'elbow', dash: 'dashed', width: 3.5, colour: '#7a2e5d', structural: false },
    ],
  },
  terms: [],
  starter: null,
  reference: null,
  requirements: [],
  criteria: [],
  ...fields,
});

export const maker = (): { newId: () => string; by: string } => {
  let count = 0;
  return { newId: () => `new-${++count}`, by: 'me' };
};
