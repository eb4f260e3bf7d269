import { CLOSE } from '../../map/kinds.js';
import { whoMade } from '../../people/who-made.js';
import { share } from '../fractions.js';
import { requirementType } from '../types.js';
import { percent } from '../words.js';

export const groupShare = requirementType({
  id: 'group-share',
  group: 'making',
  asks: () => 'made',
  asksNothing: ({ minShare }) => minShare === 0,
  notOfReference: true,
  params: { minShare: { type: 'number', default: 0.1, least: 0, most: 1 } },
  sentence: 'Every member of the group made at least <b-minShare>{minShare} %</b-minShare> of the map',
  shown: ({ minShare }) => ({ minShare: percent(minShare) }),
  messages: {
    alone: 'This map is not a group’s.',
    found: '{count} of {of} members did.',
  },
  check: ({ minShare }, { index, context }) => {
    const members = context?.members ?? [];
    if (members.length < 2) return { doesNotApply: 'alone' };
    const made = whoMade(index.map, members);
    const count = made.filter(
      ({ by, share: part }) => by !== null && members.includes(by) && part >= minShare - CLOSE,
    ).length;
    const of = members.length;
    return {
      fraction: share(count, of),
      figures: { count, members: of },
      code: 'found',
      data: { count, of },
      evidence: [],
    };
  },
});
