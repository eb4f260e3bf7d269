import { assignmentOf, link, mapOf, topic } from '../testing/make.js';
import { againstReference } from './against-reference.js';
import { readClass, readHeld } from './class-together.js';
import { compositeMap, tieId } from './composite-map.js';
import { areNearWordings, nearWordings } from './near-wordings.js';
import { outcomeKeyOf } from './outcomes.js';

const named = (id: string, text: string, more: object = {}) => topic(id, { text, ...more });

describe('near wordings', () => {
  test('the same words in another order, or a slip of the pen, are near; other words, short ones and no words are not', () => {
    expect(areNearWordings('push outward on', 'on push outward')).toBe(true);
    expect(areNearWordings('push outward on', 'push outwrad on')).toBe(true);
    expect(areNearWordings('carri', 'hold')).toBe(false);
    expect(areNearWordings('is a', 'is an')).toBe(false);
    expect(areNearWordings('', 'x')).toBe(false);
    expect(areNearWordings('', '')).toBe(true);
  });
  test('stand together whichever way they read, where the first of them stands', () => {
    const said = (from: string, phrase: string, to: string) => ({ from, phrase, to });
    const [a, b, c, d] = [
      said('x', 'presses down on', 'y'),
      said('x', 'holds', 'z'),
      said('y', 'presses dwon on', 'x'),
      said('x', 'shakes', 'y'),
    ];
    expect(nearWordings([a, b, c, d])).toEqual([[a, c], [b], [d]]);
  });
});

describe('what shows a target', () => {
  const target = (id: string) => named(id, 'Trace a load', { kind: 'target' });
  test('is counted once a map, by concept; what students put beside the structure is no target', () => {
    const own = {
      id: 'mine',
      name: 'Mine',
      purpose: '',
      givenBy: 'student',
      shape: 'note',
      fill: '#fff',
      structural: false,
    };
    const base = assignmentOf();
    const assignment = {
      ...base,
      legend: { ...base.legend, topicKinds: [...base.legend.topicKinds, own as never] },
    };
    const maps = [
      mapOf([target('t'), named('p', 'Pier')], [link('t', 'p'), link('p', 't')]),
      mapOf([target('t'), named('p', 'piers'), named('n', 'Note', { kind: 'mine' })], [link('t', 'p'), link('n', 'p')]),
      mapOf([target('t'), named('a', 'Arch')], [link('a', 't')]),
    ];
    const { outcomes } = readClass(maps, assignment);
    expect(outcomes.map(({ label, maps: of }) => [label.target, label.topic, of])).toEqual([
      ['Trace a load', 'Pier', [0, 1]],
      ['Trace a load', 'Arch', [2]],
    ]);
    expect(JSON.parse(outcomeKeyOf(outcomes[0]!))).toHaveLength(2);
  });
});

test('a map holds a key once, with every link that says it; both ways it is two', () => {
  const map = mapOf(
    [named('a', 'Arch'), named('b', 'Pier'), named('c', 'arches')],
    [link('a', 'b'), link('c', 'b'), link('b', 'a', { id: 'two', phrase: 'ties', arrow: 'both' })],
  );
  const held = readHeld(map, assignmentOf());
  expect(Object.values(held)).toEqual([['a-b', 'c-b'], ['two'], ['two']]);
});

test('figures of richness: headings join, additions end, given topics are re-hung when they meet something new', () => {
  const starter = mapOf(
    [named('r', 'Bridge', { kind: 'root' }), named('s', 'Span'), named('t', 'Tower')],
    [link('r', 's')],
  );
  const map = mapOf(
    [
      named('r', 'Bridge', { kind: 'root', origin: 'r' }),
      named('s', 'Span', { origin: 's' }),
      named('t', 'Tower', { origin: 't' }),
      named('h', 'Shapes'),
      named('e', 'My bridge'),
    ],
    [link('r', 's'), link('r', 'h'), link('h', 't'), link('s', 'e')],
  );
  const { figures } = readClass([map], assignmentOf({ starter }));
  expect(figures[0]).toEqual({
    topics: 5,
    links: 4,
    levels: 2,
    crossLinks: 0,
    ownHeadings: 1,
    ownAdditions: 1,
    rehung: 3,
  });
});

test('beside the reference each of its sentences is shared, said otherwise, turned round or missing', () => {
  const reference = mapOf(
    [named('a', 'Arch'), named('p', 'Pier'), named('d', 'Deck'), named('c', 'Cable')],
    [link('a', 'p'), link('d', 'p', { phrase: 'rests on' }), link('c', 'd', { phrase: 'holds up' }), link('a', 'c')],
  );
  const map = mapOf(
    [named('1', 'arch'), named('2', 'pier'), named('3', 'deck'), named('4', 'Cable')],
    [link('1', '2'), link('3', '2', { phrase: 'lies over' }), link('3', '4', { phrase: 'holds up' })],
  );
  const beside = againstReference(map, assignmentOf({ reference }));
  expect(beside.map(({ label, how, links, ends }) => [label.from, how, links, ends])).toEqual([
    ['Arch', 'shared', ['1-2'], ['1', '2']],
    ['Deck', 'other phrase', ['3-2'], ['3', '2']],
    ['Cable', 'turned', ['3-4'], ['4', '3']],
    ['Arch', 'missing', [], ['1', '4']],
  ]);
  expect(againstReference(map, assignmentOf())).toEqual([]);
});

test('the composite as a map: larger and wider the more have it, each tie in its commonest words and their direction', () => {
  const maps = [
    mapOf([named('a', 'Arch'), named('p', 'Pier')], [link('p', 'a', { phrase: 'carries' })]),
    mapOf([named('a', 'Arch'), named('p', 'Pier')], [link('p', 'a', { phrase: 'carries' })]),
    mapOf([named('a', 'Arch'), named('p', 'Pier'), named('t', 'Goal', { kind: 'target' })], [link('a', 'p')]),
  ];
  const assignment = assignmentOf();
  const { composite } = readClass(maps, assignment).together;
  const map = compositeMap(composite, assignment, 3, { colourOf: () => '#123456' });
  // What stands beside the structure is not drawn here.
  expect(map.topics.map(({ text, fontSize }) => [text, fontSize])).toEqual([
    ['Arch', 18],
    ['Pier', 18],
  ]);
  expect(map.links).toMatchObject([
    {
      id: tieId(composite.ties[0]!),
      from: 'text:pier',
      to: 'text:arch',
      phrase: 'carries',
      width: 9,
      colour: '#123456',
    },
  ]);
  expect(compositeMap(composite, assignment, 3, { worded: 0 }).links[0]).toMatchObject({ phrase: '', width: 9 });
});
