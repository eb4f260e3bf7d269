import { CLOSE } from '../../map/kinds.js';
import { share } from '../fractions.js';
import { requirementType } from '../types.js';
import { blank, percent } from '../words.js';

type Params = { minShare: number };

export const groupShare = requirementType<Params>({
  id: 'group-share',
  group: 'making',
  asks: () => 'made',
  params: { minShare: { type: 'number', default: 0.1, least: 0, most: 1 } },
  sentence: ({ minShare }) => [
    'Every member of the group made at least ',
    blank('minShare', percent(minShare)),
    ' of the map',
  ],
  messages: {
    alone: () => 'This map is not a group’s.',
    found: ({ count, of }) => `${count} of ${of} members did.`,
  },
  check: ({ minShare }, { index, context }) => {
    const members = context?.members ?? [];
    if (members.length < 2) return { doesNotApply: 'alone' };
    const makers = [...index.map.topics, ...index.map.links].flatMap(({ by }) => by ?? []);
    const count = members.filter(
      (member) => share(makers.filter((maker) => maker === member).length, makers.length) >= minShare - CLOSE,
    ).length;
    const of = members.length;
    return {
      fraction: share(count, of),
      figures: { count, members: of },
      message: 'found',
      data: { count, of },
      evidence: [],
    };
  },
});
