import { clauses, part } from '../../testing/clauses.js';
import type { Clause } from '../../testing/clauses.js';
import { assignmentOf, link, mapOf } from '../../testing/make.js';
import type { Link } from '../../map/types.js';

const two = [part('a', { text: 'Arch' }), part('b', { text: 'Pier' })];
const wanted = (more: object = {}): Record<string, unknown> => ({
  propositions: [{ from: 'arch', to: 'pier', ...more }],
});
const present = (says: string, params: object, links: Link[], gives: Clause['gives'], judge?: true): Clause => ({
  says,
  type: 'propositions-present',
  params: { ...params },
  map: mapOf(two, links),
  gives,
  ...(judge && { judge }),
});
clauses([
  present('without phrases any words will do, none too', wanted(), [link('a', 'b', { phrase: '' })], [1]),
  present('a plain line goes both ways', wanted(), [link('b', 'a', { arrow: 'none' })], [1]),
  present('the wrong way round flags the link', wanted(), [link('b', 'a')], [0, 'b-a']),
  present('either way is taken when asked so', wanted({ direction: 'either' }), [link('b', 'a')], [1]),
  present('not there flags the two texts as given', wanted(), [], [0, 'arch → pier']),
  present(
    'all folded words of one phrase must be in it, in any order',
    wanted({ phrases: ['stands on'] }),
    [link('a', 'b', { phrase: 'on which it stood, standing' })],
    [1],
  ),
  present(
    'in other words is half, for a person to judge, and a blank one too',
    wanted({ phrases: ['stands on'] }),
    [link('a', 'b', { phrase: '' })],
    [0.5, 'a-b'],
    true,
  ),
  present(
    'min is met by halves, and still judged',
    {
      propositions: [
        { from: 'arch', to: 'pier', phrases: ['rests'] },
        { from: 'x', to: 'y' },
      ],
      min: 0.5,
    },
    [link('a', 'b', { phrase: 'holds' })],
    [1, 'a-b', 'x → y'],
    true,
  ),
  {
    says: 'a half there is no misconception',
    type: 'propositions-absent',
    params: wanted({ phrases: ['stands on'] }),
    map: mapOf(two, [link('a', 'b', { phrase: 'holds' })]),
    gives: [1],
  },
  {
    says: 'only the links that say it are flagged',
    type: 'propositions-absent',
    params: wanted({ phrases: ['holds'] }),
    map: mapOf(two, [link('a', 'b', { phrase: 'carries' }), link('a', 'b', { id: 'x', phrase: 'holds' })]),
    gives: [0, 'x'],
  },
  {
    says: 'fewer than five phrases are too early to tell',
    type: 'phrase-variety',
    map: mapOf(
      ['a', 'b', 'c', 'd', 'e'].map((id) => part(id)),
      ['b', 'c', 'd', 'e'].map((id) => link('a', id, { phrase: 'has' })),
    ),
    gives: [1],
  },
  {
    says: 'of two that are equally common all are flagged',
    type: 'phrase-variety',
    params: { maxShare: 0.4 },
    map: mapOf(
      ['a', 'b', 'c', 'd', 'e', 'f', 'g'].map((id) => part(id)),
      ['b', 'c', 'd', 'e', 'f', 'g'].map((id, i) => link('a', id, { phrase: ['has a', 'holds the'][i % 2]! })),
    ),
    gives: [0.5 / 0.6, 'a-b', 'a-c', 'a-d', 'a-e', 'a-f', 'a-g'],
  },
  {
    says: 'vague, when given, takes the place of the list',
    type: 'precise-phrases',
    params: { needVerb: false, vague: ['holds'] },
    map: mapOf(
      ['a', 'b', 'c'].map((id) => part(id)),
      [link('a', 'b', { phrase: 'Holds!' }), link('b', 'c', { phrase: 'relates to' })],
    ),
    gives: [0.5, 'a-b'],
  },
  {
    says: 'an unmatched reference topic with neighbours scores 0 and is named',
    type: 'like-reference',
    params: { min: 1 },
    assignment: assignmentOf({
      reference: mapOf(
        ['Arch', 'Pier', 'Deck', 'Alone'].map((text, i) => part(`q${i}`, { text })),
        [link('q0', 'q1'), link('q1', 'q2')],
      ),
    }),
    map: mapOf(two, [link('a', 'b')]),
    gives: [(1 + 0.5 + 0) / 3, 'Deck'],
  },
]);
