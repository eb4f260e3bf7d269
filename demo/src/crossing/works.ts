import type { TopicMap } from '@ichnograph/core';
import { draw } from '../draw.js';
import { crossing } from './assignment.js';

const ids = new Map(crossing.starter!.topics.map(({ id, text }) => [text, id]));
const given = (text: string): string => ids.get(text)!;
const [ROOT, PEDESTRIANS, CYCLISTS, FARM] = [
  given('A crossing for Mill Lane'),
  given('Pedestrians'),
  given('Cyclists'),
  given('Farm traffic'),
] as const;

const AGAINST = { kind: 'against' };

/** A group that weighed three ways across and settled on one. */
export const whole: TopicMap = {
  ...draw(
    crossing.legend,
    'What crosses the stream at Mill Lane',
    [
      [ROOT, 'A crossing for Mill Lane', 'crossing', 0, 0],
      ['water', 'High water', 'need', -560, 120],
      [PEDESTRIANS, 'Pedestrians', 'need', -330, 120],
      [CYCLISTS, 'Cyclists', 'need', 0, 120],
      [FARM, 'Farm traffic', 'need', 300, 120],
      ['cost', 'Cost', 'need', 520, 120],
      ['upkeep', 'Upkeep', 'need', 620, 240],
      ['ford', 'Ford with stepping stones', 'idea', -420, 280],
      ['bridge', 'Timber footbridge', 'idea', 0, 280],
      ['culvert', 'Culvert under a new road', 'idea', 350, 280],
      ['closed', 'Under water 40 days a year', 'reason', -560, 430],
      ['cheap', 'Stones lie there already', 'reason', -320, 430],
      ['dry', 'Spans 14 m in one piece', 'reason', -100, 430],
      ['oak', 'Oak stands 30 years', 'reason', 90, 430],
      ['dear', 'Costs six times as much', 'reason', 300, 430],
      ['tractor', 'Carries a tractor', 'reason', 500, 430],
      ['build', 'Build the footbridge, keep the ford for carts', 'proposal', 0, 570],
    ],
    [
      [ROOT, 'must be safe for', PEDESTRIANS],
      [ROOT, 'must be wide enough for', CYCLISTS],
      [ROOT, 'cannot forget', FARM],
      [ROOT, 'has to survive', 'water'],
      [ROOT, 'is limited by', 'cost'],
      ['cost', 'goes on every year as', 'upkeep'],
      ['water', 'floods the', 'ford'],
      [PEDESTRIANS, 'can hop over the', 'ford'],
      [PEDESTRIANS, 'stay dry on a', 'bridge'],
      [CYCLISTS, 'roll across a', 'bridge'],
      [FARM, 'asks for a', 'culvert'],
      ['cost', 'rules out the', 'culvert', AGAINST],
      ['upkeep', 'is highest for a', 'culvert', AGAINST],
      ['ford', 'stands', 'closed', AGAINST],
      ['ford', 'needs no stone:', 'cheap'],
      ['bridge', 'keeps clear of floods:', 'dry'],
      ['bridge', 'lasts:', 'oak'],
      ['culvert', 'is dear:', 'dear', AGAINST],
      ['culvert', 'is strong:', 'tractor'],
      ['cheap', 'lets us', 'build'],
      ['dry', 'speaks for:', 'build'],
      ['oak', 'is enough to', 'build'],
      ['dear', 'is why we', 'build'],
    ],
  ),
  tours: [
    {
      id: 'tour-1',
      title: 'How we decided',
      stops: [
        { topic: ROOT, words: 'Mill Lane ends at the stream since the flood.' },
        { topic: 'ford', words: 'The ford costs nothing, and is under water when one needs it.' },
        { topic: 'culvert', words: 'A culvert carries everything, and nobody can pay for it.' },
        { topic: 'build', words: 'So we build for those on foot, and keep the ford.' },
      ],
    },
  ],
};

const part = (kept: readonly string[]): TopicMap => ({
  ...whole,
  topics: whole.topics.filter(({ id }) => kept.includes(id)),
  links: whole.links.filter(({ from, to }) => kept.includes(from) && kept.includes(to)),
  tours: [],
});
const BEGUN = [ROOT, PEDESTRIANS, CYCLISTS, FARM];
const [NEEDS, IDEAS] = [
  [...BEGUN, 'water', 'cost', 'upkeep'],
  ['ford', 'bridge', 'culvert'],
];

/** The map as it stood after each of the three had drawn. */
export const stages: readonly TopicMap[] = [
  part(NEEDS),
  part([...NEEDS, ...IDEAS, 'closed', 'cheap', 'dry', 'oak']),
  whole,
];
