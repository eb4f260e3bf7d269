import { seeded, spoil } from '@ichnograph/core';
import type { Topic, TopicMap, WayName } from '@ichnograph/core';
import { draw } from '../draw.js';
import { footbridge } from './assignments.js';
import { asBegun } from './works.js';

const paragraph = (text: string) => ({ note: text });

/** An essay planned: three points with proofs, the paragraphs in their notes. */
export const hedda: TopicMap = draw(
  footbridge.legend,
  'Rebuild it',
  [
    ['topic-1', 'I claim that the town should rebuild the footbridge this year', 'root', 0, 0],
    [
      'school',
      'It is the way to school',
      'point',
      -340,
      140,
      paragraph(
        'Sixty-two children used the footbridge every morning before it was closed. Now they walk along the main road, where lorries turn into the quarry and no pavement runs. My own way takes twenty minutes longer, and in the dark months most parents drive instead, which makes the road worse for those who still walk.',
      ),
    ],
    [
      'cheaper',
      'Waiting makes it dearer',
      'point',
      0,
      140,
      paragraph(
        'The two stone piers still stand. The surveyor wrote that they will last if the top is covered before winter, and that a new pier would cost as much as the whole deck. Every year without a roof of boards on them lets frost into the joints, so the town would pay more for deciding later than for building now.',
      ),
    ],
    [
      'people',
      'It joins two halves of a town',
      'point',
      340,
      140,
      paragraph(
        'On the far side live two hundred people who lost their short way to the library, the surgery and the market. The count of the library shows a third fewer visits since spring. A bridge is not only for crossing water: it says who belongs together, and the people beyond the stream have begun to feel that they do not.',
      ),
    ],
    ['count', 'Our count at the gate: 62 on Monday, 58 on Tuesday', 'proof', -340, 300],
    ['survey', 'The surveyor’s letter of March', 'proof', 0, 300],
    ['library', 'A third fewer visits to the library', 'proof', 340, 300],
    ['flood', 'The next flood may take it again', 'objection', 640, 140],
    ['higher', 'It would stand a metre higher than the old one', 'proof', 640, 300],
  ],
  [
    ['topic-1', 'because', 'school'],
    ['topic-1', 'because', 'cheaper'],
    ['topic-1', 'because', 'people'],
    ['topic-1', 'although some say:', 'flood'],
    ['school', 'as shown by', 'count'],
    ['cheaper', 'as written in', 'survey'],
    ['people', 'as shown by', 'library'],
    ['flood', 'but', 'higher'],
  ],
);

/** The same, half way: a claim and two points without their paragraphs. */
const IN_WRITING: Readonly<Record<string, Partial<Topic>>> = {
  school: {
    ...paragraph(
      'We walked it with a watch: eleven minutes over the bridge, thirty-one along the road. Two of us had to',
    ),
    wordGoal: 80,
  },
  people: { wordGoal: 80 },
};
export const jomo: TopicMap = {
  ...hedda,
  title: 'No new bridge',
  topics: hedda.topics
    .filter(({ id }) => ['topic-1', 'school', 'people', 'count'].includes(id))
    .map(({ note: _, ...topic }) => ({ ...topic, ...IN_WRITING[topic.id] })),
  links: hedda.links.filter(({ from, to }) =>
    [from, to].every((id) => ['topic-1', 'school', 'people', 'count'].includes(id)),
  ),
};

/** Against it, and as well thought out: a bus on the road instead. */
export const imre: TopicMap = draw(
  footbridge.legend,
  'A bus is a bridge too',
  [
    ['topic-1', 'I claim that the town should not rebuild it but run a small bus', 'root', 0, 0],
    [
      'floods',
      'The stream takes what stands in it',
      'point',
      -340,
      140,
      paragraph(
        'Three footbridges have stood on those piers, and two of them were carried off by floods within one lifetime. The miller wrote the dates on his door. Whoever builds a fourth builds it for the next flood. Money that goes into the stream every thirty years would be better spent on something that can be moved out of its way.',
      ),
    ],
    [
      'everyone',
      'A bus helps those who cannot walk',
      'point',
      0,
      140,
      paragraph(
        'The old bridge had eleven steps on each side. My grandmother has not crossed it for six years, and nobody with a pram or a wheelchair could. A bus that goes round by the road every half hour carries them all, in rain and in the dark, and it stops at the surgery and the market as well as at the school.',
      ),
    ],
    [
      'money',
      'It costs less in every one of the first ten years',
      'point',
      340,
      140,
      paragraph(
        'The town’s own paper puts the bridge at as much as nine years of a small bus with a driver. After ten years the bridge would be cheaper, if no flood comes; but a bus can be ended, or sent elsewhere, when the quarry road has its pavement. A bridge stands where it stands, whether it is still wanted there or not.',
      ),
    ],
    ['door', 'Dates on the miller’s door: 1926, 1958, 1991', 'proof', -340, 300],
    ['steps', 'Eleven steps, and no ramp', 'proof', 0, 300],
    ['paper', 'The town’s paper on costs, page 4', 'proof', 340, 300],
    ['wait', 'Nobody wants to wait half an hour', 'objection', 640, 140],
    ['time', 'Walking round takes longer than waiting', 'proof', 640, 300],
  ],
  [
    ['topic-1', 'because', 'floods'],
    ['topic-1', 'because', 'everyone'],
    ['topic-1', 'because', 'money'],
    ['topic-1', 'although some say:', 'wait'],
    ['floods', 'as one reads in', 'door'],
    ['everyone', 'as one counts:', 'steps'],
    ['money', 'as written in', 'paper'],
    ['wait', 'but', 'time'],
  ],
);

const gone = (map: TopicMap, title: string, seed: number, ...ways: WayName[]): TopicMap => {
  const random = seeded(seed);
  return ways.reduce((next, way) => spoil(next, footbridge, way, random), { ...asBegun(map, footbridge), title });
};
const shortened = (map: TopicMap, words: number): TopicMap => ({
  ...map,
  topics: map.topics.map((topic) =>
    topic.note === undefined ? topic : { ...topic, note: `${topic.note.split(' ').slice(0, words).join(' ')} …` },
  ),
});

/** The rest of the class on the essay: paragraphs too short, proofs missing, words missing, points cut loose. */
export const essayWorks: readonly { name: string; map: TopicMap; begun: number; handedIn?: number; note?: string }[] = [
  { name: 'imre', map: imre, begun: -3, handedIn: -1, note: 'I know that most of us are for the bridge.' },
  { name: 'hedda', map: hedda, begun: -2, handedIn: -1, note: 'I counted the children at the gate on two mornings.' },
  { name: 'lazlo', map: gone(shortened(hedda, 22), 'Build it', 31), begun: -3, handedIn: -1 },
  { name: 'olivia', map: gone(shortened(imre, 34), 'Half an hour', 32, 'strip-phrases'), begun: -2, handedIn: 0 },
  { name: 'nikolai', map: gone(shortened(imre, 12), 'No bridge', 33, 'cut-loose'), begun: -2 },
  { name: 'pavel', map: gone(hedda, 'For the children', 34, 'cut-loose'), begun: -1 },
  { name: 'jomo', map: jomo, begun: -1 },
];
