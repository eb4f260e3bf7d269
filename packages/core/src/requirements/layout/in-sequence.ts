import { allBut } from '../all-but.js';
import { requirementType } from '../types.js';
import { blank, kindNames, plural, quoted } from '../words.js';

type Axis = 'either' | 'right' | 'down';
type Params = { axis: Axis; kinds?: string[] };

const WAYS: Record<Axis, string> = { either: 'rightward or downward', right: 'rightward', down: 'downward' };

export const inSequence = requirementType<Params>({
  id: 'in-sequence',
  group: 'layout',
  asks: () => 'made',
  readsPlaces: true,
  params: {
    axis: { type: 'choice', options: ['either', 'right', 'down'], default: 'either' },
    kinds: { type: 'kinds' },
  },
  sentence: ({ axis, kinds }, assignment) => [
    'What has a number',
    ...(kinds ? [' (of the kind ', blank('kinds', kindNames(assignment, kinds)), ')'] : []),
    ' stands in order, ',
    blank('axis', WAYS[axis]),
  ],
  messages: {
    none: () => 'Fewer than two topics have different numbers.',
    share: ({ count, of }) => `${count} of ${plural(Number(of), 'step')} ${count === 1 ? 'is' : 'are'} in order.`,
    step: ({ a, b, way }) => `${quoted(b)} comes after ${quoted(a)}: move it further ${way}.`,
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
        message: 'step',
        data: { a: a.text, b: b.text, way: isRight ? 'right' : 'down' },
        topics: [a.id, b.id],
      })),
      pairs.length,
      'pairs',
      'none',
    );
  },
});
