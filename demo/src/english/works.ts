import { seeded, spoil } from '@ichnograph/core';
import type { Assignment, TopicMap, WayName } from '@ichnograph/core';
import { draw } from '../draw.js';
import { ferryman, footbridge, lighthouses } from './assignments.js';

/** A drawn map as one that was begun from the starter: what it gave is known by its origin. */
export const asBegun = (map: TopicMap, { starter }: Assignment): TopicMap => ({
  ...map,
  topics: map.topics.map((topic) =>
    starter!.topics.some(({ id }) => id === topic.id) ? { ...topic, origin: topic.id } : topic,
  ),
});

const of = (kind: string) => ({ outline: ferryman.legend.topicKinds.find(({ id }) => id === kind)!.outline! });
const [PERSON, EVENT, SIGN] = [of('person'), of('event'), of('sign')];

/** A story map as a good reader draws it. */
export const mira: TopicMap = draw(
  ferryman.legend,
  'Why nobody rings',
  [
    ['topic-1', 'The Ferryman’s Bell', 'root', 0, 0],
    ['topic-2', 'The people are proud and lonely', 'question', -420, 120],
    ['topic-3', 'The place is under water', 'question', -130, 120],
    ['topic-4', 'The trouble is that asking for help feels like shame', 'question', 170, 130],
    ['topic-5', 'The way out is that a child asks first', 'question', 470, 120],
    ['ferryman', 'Ferryman', null, -540, 260, PERSON],
    ['girl', 'Girl with a lantern', null, 540, 260, PERSON],
    ['widow', 'Widow on the hill', null, -380, 330, PERSON],
    ['flood', 'Flooded landing', null, -130, 260, EVENT],
    ['wait', 'He waits every night', null, -560, 390, EVENT],
    ['silence', 'The village stays silent', null, -110, 380, EVENT],
    ['lantern', 'She swings her lantern over the water', null, 480, 390, EVENT],
    ['ring', 'She rings the bell', null, 180, 480, EVENT],
    ['bell', 'Bell', null, 170, 300, { ...SIGN, note: '“It hung there like a question nobody would put.”' }],
    ['dark', 'Dark water', null, -330, 470, { ...SIGN, note: '“The water kept what it was told.”' }],
  ],
  [
    ['topic-1', 'lives by its', 'topic-2'],
    ['topic-1', 'is set where', 'topic-3'],
    ['topic-1', 'turns on', 'topic-4'],
    ['topic-1', 'ends when', 'topic-5'],
    ['topic-2', 'shows in the', 'ferryman'],
    ['topic-2', 'hardens the', 'widow'],
    ['ferryman', 'keeps his promise, so', 'wait'],
    ['topic-3', 'begins with the', 'flood'],
    ['flood', 'cuts off all, yet', 'silence'],
    ['silence', 'leaves unrung the', 'bell'],
    ['topic-4', 'hangs in the', 'bell'],
    ['topic-5', 'comes with the', 'girl'],
    ['girl', 'is not ashamed:', 'lantern'],
    ['lantern', 'gives her courage, and', 'ring'],
    ['ring', 'breaks the spell of the', 'bell'],
    ['widow', 'looks down on the', 'dark'],
  ],
);

/** The same story, told and not yet thought about. */
export const teo: TopicMap = draw(
  ferryman.legend,
  'The bell',
  [
    ['topic-1', 'The Ferryman’s Bell', 'root', 0, 0],
    ['topic-2', 'The people are sad', 'question', -360, 120],
    ['topic-3', 'The place is a river', 'question', -110, 120],
    ['topic-4', 'The trouble is …', 'question', 120, 120],
    ['topic-5', 'The way out is a girl', 'question', 350, 120],
    ['ferryman', 'Ferryman', null, -400, 250, PERSON],
    ['girl', 'Girl with a lantern', null, 370, 250, PERSON],
    ['flood', 'Flooded landing', null, -120, 250, EVENT],
    ['ring', 'She rings', null, 130, 270, EVENT],
  ],
  [
    ['topic-1', 'has', 'topic-2'],
    ['topic-1', 'has', 'topic-3'],
    ['topic-1', 'has', 'topic-4'],
    ['topic-1', 'has', 'topic-5'],
    ['topic-2', 'is the', 'ferryman'],
    ['topic-3', 'has a', 'flood'],
    ['topic-5', 'is the', 'girl'],
    ['girl', 'then', 'ring'],
  ],
);

/** Good maps gone wrong in the ways that real ones do. */
const gone = (title: string, seed: number, ...ways: WayName[]): TopicMap => {
  const random = seeded(seed);
  return ways.reduce((map, way) => spoil(map, ferryman, way, random), { ...asBegun(mira, ferryman), title });
};

/** The rest of the class on the story. */
export const storyWorks: readonly { name: string; map: TopicMap; begun: number; handedIn?: number }[] = [
  { name: 'anouk', map: gone('The ferryman waits', 21, 'vague-phrases'), begun: -3, handedIn: -1 },
  { name: 'cato', map: gone('A bell', 22, 'strip-phrases'), begun: -3, handedIn: -1 },
  { name: 'dilnoza', map: gone('What the water keeps', 23, 'cut-loose'), begun: -2, handedIn: -1 },
  { name: 'elio', map: gone('Lantern', 24, 'cross-lines'), begun: -2 },
  { name: 'farida', map: gone('Shame and help', 25, 'double-topic'), begun: -4, handedIn: -2 },
  { name: 'kaia', map: gone('Nobody rings', 26, 'all-to-root'), begun: -1 },
];

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
export const jomo: TopicMap = {
  ...hedda,
  title: 'No new bridge',
  topics: hedda.topics
    .filter(({ id }) => ['topic-1', 'school', 'people', 'count'].includes(id))
    .map(({ note: _, ...topic }) => topic),
  links: hedda.links.filter(({ from, to }) =>
    [from, to].every((id) => ['topic-1', 'school', 'people', 'count'].includes(id)),
  ),
};

const rows: readonly [kind: string, text: string][] = [
  ['known', 'They warn ships of rocks'],
  ['known', 'Each blinks in its own rhythm'],
  ['known', 'They stand on the coast'],
  ['known', 'A keeper lived inside'],
  ['guess', 'Today machines keep them'],
  ['guess', 'The light goes thirty kilometres'],
  ['wonder', 'Who pays for the lamp?'],
  ['wonder', 'What did a keeper do in fog?'],
];

/** What a class knew last term before it began; each left something out. */
export const knew = (leftOut: readonly number[]): TopicMap => {
  const kept = rows.filter((_, i) => !leftOut.includes(i));
  return draw(
    lighthouses.legend,
    'Lighthouses',
    [
      ['topic-1', 'Lighthouses', 'root', 0, 0],
      ...kept.map(([kind, text], i): [string, string, string, number, number] => [
        `own-${i}`,
        text,
        kind,
        -390 + (i % 4) * 260,
        i < 4 ? 130 : 250,
      ]),
    ],
    kept.map(([kind], i): [string, string, string] => [
      'topic-1',
      kind === 'known' ? 'I know:' : kind === 'guess' ? 'I think:' : 'I wonder:',
      `own-${i}`,
    ]),
  );
};
