import { allBut } from '../all-but.js';
import { requirementType } from '../types.js';
import { kindNames } from '../words.js';

export const inSequence = requirementType({
  id: 'in-sequence',
  group: 'layout',
  asks: () => 'made',
  readsPlaces: true,
  params: {
    axis: { type: 'choice', options: ['either', 'right', 'down'], default: 'either' },
    kinds: { type: 'kinds' },
  },
  sentence:
    'What has a number' +
    '{kinds, select, undefined {} other { (of the kind <b-kinds>{kinds}</b-kinds>)}}' +
    ' stands in order, <b-axis>{axis, select, either {rightward or downward} right {rightward} other {downward}}</b-axis>',
  shown: ({ kinds }, assignment) => ({ kinds: kindNames(assignment, kinds) }),
  messages: {
    none: 'Fewer than two topics have different numbers.',
    share: '{count} of {of, plural, one {1 step} other {{of} steps}} {count, plural, one {is} other {are}} in order.',
    right: '“{b}” comes after “{a}”: move it further right.',
    down: '“{b}” comes after “{a}”: move it further down.',
  },
  check: ({ axis, kinds }, { index }) => {
    const topics = (kinds ? index.topicsOf(kinds) : index.map.topics).filter(({ sequence }) => sequence !== undefined);
    const sorted = [...topics].sort((a, b) => a.sequence! - b.sequence!);
    const pairs = sorted
      .slice(1)
      .map((later, i) => [sorted[i]!, later] as const)
      .filter(([a, b]) => a.sequence !== b.sequence);
    const wrong = (way: 'x' | 'y') => pairs.filter(([a, b]) => !(b[way] > a[way]));
    const [right, down] = [wrong('x'), wrong('y')];
    const isRight = axis === 'right' || (axis === 'either' && right.length <= down.length);
    const others = isRight ? right : down;
    return allBut(
      others.map(([a, b]) => ({
        code: isRight ? 'right' : 'down',
        data: { a: a.text, b: b.text },
        topics: [a.id, b.id],
      })),
      pairs.length,
      'pairs',
      'none',
    );
  },
});
