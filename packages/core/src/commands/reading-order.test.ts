import fc from 'fast-check';
import { sortMap } from '../map/order.js';
import { applyChanges } from '../map/changes.js';
import type { Outcome } from '../map/changes.js';
import type { TopicMap } from '../map/types.js';
import { mapOutline } from '../outline/map-outline.js';
import { assignmentOf, link, mapOf, topic } from '../testing/make.js';
import type { Place } from './reading-order.js';
import { addInOrder, deleteRows, hangInOrder, indent, moveInOrder, outdent } from './reading-order.js';

const { legend } = assignmentOf();
const maker = () => {
  let n = 0;
  return { newId: () => `new-${++n}`, by: 'juno' };
};

/** root: a (x, y), b (z), c; and a tie from c to z */
const family = (): TopicMap =>
  mapOf(
    ['root', 'a', 'x', 'y', 'b', 'z', 'c'].map((id, i) => topic(id, { x: i * 200 })),
    [
      link('root', 'a'),
      link('a', 'x'),
      link('a', 'y'),
      link('root', 'b'),
      link('b', 'z'),
      link('root', 'c'),
      link('c', 'z', { phrase: 'also' }),
    ],
  );

const after = (map: TopicMap, outcome: Outcome): TopicMap => {
  if (!outcome.ok) throw new Error(outcome.code);
  return sortMap(applyChanges(map, outcome.changes));
};
const told = (map: TopicMap): string =>
  mapOutline(map)
    .map(({ depth, text }) => `${'.'.repeat(depth)}${text}`)
    .join(' ');

describe('the order in which a map is read', () => {
  test('a branch is read one earlier or later, with all below it', () => {
    const map = family();
    expect(told(map)).toBe('root .a ..x ..y .b ..z .c');
    expect(told(after(map, moveInOrder(map, 'b', -1)))).toBe('root .b ..z .a ..x ..y .c');
    expect(told(after(map, moveInOrder(map, 'a', 1)))).toBe('root .b ..z .a ..x ..y .c');
    expect(told(after(map, moveInOrder(map, 'y', -1)))).toBe('root .a ..y ..x .b ..z .c');
    expect(moveInOrder(map, 'a', -1)).toMatchObject({ code: 'readFirst' });
    expect(moveInOrder(map, 'c', 1)).toMatchObject({ code: 'readLast' });
    expect(moveInOrder(map, 'root', 1)).toMatchObject({ code: 'readBySize' });
  });

  test('a topic goes on hanging by the link it hung by, however late that is read', () => {
    const map = mapOf(
      ['root', 'a', 'b', 'c'].map((id) => topic(id)),
      [link('root', 'a'), link('root', 'b'), link('c', 'a', { phrase: 'tie' }), link('root', 'c')],
    );
    const moved = after(after(map, moveInOrder(map, 'a', 1)), { ok: true, changes: [] });
    const last = after(moved, moveInOrder(moved, 'a', 1));
    expect(told(last)).toBe('root .b .c .a');
    expect(mapOutline(last).find(({ id }) => id === 'a')!.by!.id).toBe('root-a');
  });

  test('set in and out', () => {
    const map = family();
    const set = after(map, indent(map, 'b', null, maker(), legend));
    expect(told(set)).toBe('root .a ..x ..y ..b ...z .c');
    expect(told(after(set, outdent(set, 'b', maker(), legend)))).toBe('root .a ..x ..y .b ..z .c');
    expect(told(after(map, outdent(map, 'x', maker(), legend)))).toBe('root .a ..y .x .b ..z .c');
    expect(told(after(map, outdent(map, 'a', maker(), legend)))).toBe('root .b ..z .c a .x .y');
    expect(indent(map, 'a', null, maker(), legend)).toMatchObject({ code: 'nothingBefore' });
    expect(outdent(map, 'root', maker(), legend)).toMatchObject({ code: 'hangsFromNothing' });
  });

  test('hung elsewhere: after a fellow, first, or last', () => {
    const map = family();
    const hung = (place: Place) =>
      told(after(map, hangInOrder(map, { id: 'c', from: 'a', place, linkKind: null }, maker(), legend)));
    expect(hung({ after: 'a-x' })).toBe('root .a ..x ..c ..y .b ..z');
    expect(hung('first')).toBe('root .a ..c ..x ..y .b ..z');
    expect(hung('last')).toBe('root .a ..x ..y ..c .b ..z');
    expect(hangInOrder(map, { id: 'a', from: 'x', place: 'last', linkKind: null }, maker(), legend)).toMatchObject({
      code: 'hangsBelow',
    });
  });

  test('made where it is read', () => {
    const map = family();
    const made = (at: string | null, as: 'beside' | 'below') =>
      after(
        map,
        addInOrder(
          map,
          { text: 'new', kind: null, after: at, as, phrase: 'is', linkKind: null },
          { x: 0, y: 900 },
          maker(),
          legend,
        ),
      );
    expect(told(made('x', 'beside'))).toBe('root .a ..x ..new ..y .b ..z .c');
    expect(told(made('a', 'below'))).toBe('root .a ..new ..x ..y .b ..z .c');
    expect(told(made('x', 'below'))).toBe('root .a ..x ...new ..y .b ..z .c');
    expect(told(made('root', 'beside'))).toBe('root .a ..x ..y .b ..z .c new');
    expect(told(made(null, 'beside'))).toBe('root .a ..x ..y .b ..z .c new');
    expect(made('x', 'beside').links.find(({ to }) => to === 'new-1')!.phrase).toBe('is');
  });

  test('a row that is deleted leaves what hung from it, one higher and in its place', () => {
    const map = family();
    const deleted = (...ids: string[]) => told(after(map, deleteRows(map, ids, maker(), legend)));
    expect(deleted('a')).toBe('root .x .y .b ..z .c');
    expect(deleted('b')).toBe('root .a ..x ..y .z .c');
    expect(deleted('a', 'b')).toBe('root .x .y .z .c');
    expect(deleted('root')).toBe('a .x .y b .z c');
    expect(deleted('c')).toBe('root .a ..x ..y .b ..z');
  });

  test('only what has to get a new key gets one', () => {
    const plain = family();
    const map = after(plain, moveInOrder(plain, 'b', -1));
    const moved = moveInOrder(map, 'c', -1);
    expect(moved.ok && moved.changes).toHaveLength(1);
  });

  test('whatever is moved, set in or out: nothing is lost, and only that topic hangs otherwise', () => {
    const act = fc.tuple(fc.constantFrom('up', 'down', 'in', 'out'), fc.nat());
    const trees = fc.tuple(fc.array(fc.nat(), { minLength: 2, maxLength: 12 }), fc.array(act, { maxLength: 20 }));
    fc.assert(
      fc.property(trees, ([parents, acts]) => {
        let map = mapOf(
          ['0', ...parents.map((_, i) => `${i + 1}`)].map((id, i) => topic(id, { x: i * 150 })),
          parents.map((parent, i) => link(`${parent % (i + 1)}`, `${i + 1}`)),
        );
        for (const [what, n] of acts) {
          const { id } = map.topics[n % map.topics.length]!;
          const hungFrom = (m: TopicMap) =>
            new Map(mapOutline(m).flatMap(({ id: one, by }) => (one === id ? [] : [[one, by?.from]])));
          const before = hungFrom(map);
          const outcome =
            what === 'in'
              ? indent(map, id, null, maker(), legend)
              : what === 'out'
                ? outdent(map, id, maker(), legend)
                : moveInOrder(map, id, what === 'up' ? -1 : 1);
          if (!outcome.ok) continue;
          map = after(map, outcome);
          // Ids of links are made anew; ours are told apart by what they join.
          map = { ...map, links: map.links.map((one) => ({ ...one, id: `${one.from}-${one.to}` })) };
          expect(hungFrom(map)).toEqual(before);
          expect(mapOutline(map)).toHaveLength(map.topics.length);
        }
      }),
    );
  });
});
