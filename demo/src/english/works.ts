import type { TopicMap } from '@ichnograph/core';
import { draw } from '../draw.js';
import { ferryman, lighthouses } from './assignments.js';

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
