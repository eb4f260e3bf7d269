import { emptyMap, fitTopic, pick, seeded, SHAPES } from '@ichnograph/core';
import type { Assignment, Link, Random, Requirement, Topic, TopicMap } from '@ichnograph/core';
import { requirementTypes } from '@ichnograph/core';

/** Maps of any size with a fixed density and length of links, so that what crosses grows with the map. Seeded. */

const WORDS = ['arch', 'beam', 'cable', 'deck', 'pier', 'span', 'truss', 'tower', 'load', 'joint', 'bearing', 'stone'];
const PHRASES = [
  'carries the',
  'presses on',
  'hangs from a',
  'is held by',
  'spreads the',
  'stands on',
  'relates to',
  '',
];
const NOTE =
  'It hands the load on to what stands below it. We saw one on the way to the river, where the road bends, and drew how it bends when a lorry goes over it.';
const CELL = { width: 260, height: 160 };
const LINKS_A_TOPIC = 1.5;

export const legend: Assignment['legend'] = {
  topicKinds: [
    { id: 'root', name: 'Start', purpose: '', givenBy: 'teacher', shape: 'capsule', fill: '#cfe0dc', root: true },
    { id: 'part', name: 'Part', purpose: '', givenBy: 'teacher', shape: 'rectangle', fill: '#d7e7ec' },
    { id: 'force', name: 'Force', purpose: '', givenBy: 'teacher', shape: 'trapezoid', fill: '#e3ddf2' },
    { id: 'own', name: 'Family', purpose: '', givenBy: 'student', shape: 'parallelogram', fill: '#f6dcd2' },
  ],
  linkKinds: [{ id: 'says', name: 'says', colour: '#4a5260', width: 1.5 }],
};

function topicAt(i: number, columns: number, random: Random): Topic {
  const text = `${pick(WORDS, random)} ${pick(WORDS, random)} ${i}`;
  const kind = i === 0 ? 'root' : pick(['part', 'force', 'own'], random);
  const topic: Topic = {
    id: `t${i}`,
    text,
    kind,
    x: (i % columns) * CELL.width + (random() - 0.5) * 90,
    y: Math.floor(i / columns) * CELL.height + (random() - 0.5) * 60,
    width: 100,
    height: 40,
    by: pick(['me', 'you'], random),
    ...(random() < 0.3 && { note: NOTE }),
    ...(random() < 0.1 && { shape: pick(SHAPES, random) }),
    ...(random() < 0.1 && { sequence: i }),
  };
  return { ...topic, ...fitTopic(topic, legend) };
}

export function mapOf(size: number, seed: number): TopicMap {
  const random = seeded(seed);
  const columns = Math.ceil(Math.sqrt(size));
  const topics = Array.from({ length: size }, (_, i) => topicAt(i, columns, random));
  const links: Link[] = [];
  while (links.length < size * LINKS_A_TOPIC) {
    const from = Math.floor(random() * size);
    const to = from + Math.floor(random() * 3 - 1) + Math.floor(random() * 3 - 1) * columns;
    if (to === from || to < 0 || to >= size) continue;
    links.push({
      id: `l${links.length}`,
      from: `t${from}`,
      to: `t${to}`,
      phrase: pick(PHRASES, random),
      kind: 'says',
      by: pick(['me', 'you'], random),
      ...(random() < 0.2 && { bend: random() - 0.5, route: 'curved' as const }),
    });
  }
  return { ...emptyMap(), title: 'A map', author: 'me', topics, links };
}

/** Parameters that must be given, for the types that have such. */
const NEEDED: Record<string, Record<string, unknown>> = {
  'kind-count': { kind: 'own' },
  'blanks-filled': { answers: [{ origin: 's1', accept: ['Arch'] }] },
  'sits-under': { kinds: ['part'], parents: ['own'] },
  'anchor-links': { kind: 'own', targets: ['part'] },
  'allowed-links': { pairs: [['own', 'part']] },
  'propositions-present': { propositions: [{ from: 'arch', to: 'pier', phrases: ['holds'] }] },
  'propositions-absent': { propositions: [{ from: 'pier', to: 'arch', direction: 'either' }] },
  'link-style': { linkKind: 'says' },
};

/** An assignment that asks for all there is, with a reference and a starter of its own. */
export function assignmentFor(map: TopicMap): Assignment {
  const half = map.topics.slice(0, Math.ceil(map.topics.length / 2));
  const ids = new Set(half.map(({ id }) => id));
  const reference = { ...map, topics: half, links: map.links.filter(({ from, to }) => ids.has(from) && ids.has(to)) };
  return {
    title: 'All there is',
    focusQuestion: '',
    brief: '',
    language: 'en',
    styleMode: 'guided',
    legend,
    terms: half.slice(0, 40).map(({ text, kind }) => ({ text, kind })),
    starter: { ...reference, topics: half.slice(0, 10), links: [] },
    reference,
    requirements: requirementTypes().map(({ id }): Requirement => {
      return { id, type: id, params: NEEDED[id] ?? {}, level: 'must', points: 2 };
    }),
    criteria: [],
  };
}
