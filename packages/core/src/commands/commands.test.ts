import { applyChanges } from '../map/changes.js';
import type { Outcome } from '../map/changes.js';
import { mapFromStarter } from '../drawn/start.js';
import type { TopicMap } from '../map/types.js';
import { bankChips } from '../map/bank.js';
import { assignmentOf, link, maker, mapOf, topic } from '../testing/make.js';
import { freeSpot } from './free-spot.js';
import { reasonOf } from '../wording/say.js';
import { addLink, setPhrase, turnLinks } from './links.js';
import { asItsKind, setLinkKind, setLooks, setTopicKind } from './looks.js';
import { addTopic, growTopic, moveMarks, resizeTopic, setText } from './topics.js';
import { addToBank, copyMarks, entitle, pasteMarks, removeMarks } from './whole-map.js';

const rules = assignmentOf();
const { legend } = rules;
const map = mapOf(
  [topic('a', { text: 'Arch' }), topic('b', { x: 200, text: 'Beam', kind: 'part' }), topic('c', { x: 400 })],
  [link('a', 'b'), link('b', 'c', { kind: 'says' })],
);
const after = (outcome: Outcome, of: TopicMap = map): TopicMap => {
  if (!outcome.ok) throw new Error(outcome.code);
  return applyChanges(of, outcome.changes);
};
const reason = (outcome: Outcome): string => (outcome.ok ? '' : reasonOf(outcome));

test('a command that changes nothing gives back the very same map', () => {
  expect(after(setText(map, 'a', 'Arch', legend))).toBe(map);
  expect(after(setPhrase(map, 'a-b', ' holds '))).toBe(map);
  expect(after(setPhrase(map, 'a-b', '\n holds  \r\n\n up \n')).links[0]!.phrase).toBe('holds\nup');
  expect(after(moveMarks(map, ['nobody'], { x: 1, y: 1 }))).toBe(map);
  expect(after(asItsKind(map, ['a', 'a-b'], rules))).toBe(map);
  expect(after(entitle(map, { title: '' }))).toBe(map);
});

test('a new topic fits its text and bears its maker', () => {
  const made = after(
    addTopic(
      map,
      { text: 'A rather long idea that needs two lines', kind: 'own', at: { x: 5, y: 600 } },
      maker(),
      legend,
    ),
  ).topics.at(-1)!;
  expect(made).toMatchObject({ id: 'new-1', x: 5, y: 600, by: 'me', kind: 'own' });
  expect(made.height).toBeGreaterThan(40);
});

test('growing makes a topic clear of all others and a link to it, in one list of changes', () => {
  const grown = after(growTopic(map, { from: 'a', text: 'Keystone', kind: 'part', linkKind: 'says' }, maker(), legend));
  const made = grown.topics.at(-1)!;
  expect(grown.links.at(-1)).toMatchObject({ from: 'a', to: made.id, kind: 'says', phrase: '' });
  expect(made.y).toBeGreaterThan(40);
  expect(reason(growTopic(map, { from: 'gone', text: 'x', kind: null, linkKind: null }, maker(), legend))).toContain(
    'gone',
  );
});

test('texts: blank and overlong ones are refused with a sentence; the size follows the words', () => {
  expect(reason(setText(map, 'a', '  ', legend))).toContain('needs words');
  expect(reason(setText(map, 'a', 'x'.repeat(301), legend))).toContain('300');
  const [before, now] = [
    map.topics[0]!,
    after(setText(map, 'a', 'An arch of old red bricks by the quay', legend)).topics[0]!,
  ];
  expect(now.width).toBeGreaterThan(before.width);
});

test('links: none to itself, none twice the same way round; the other way is another link', () => {
  expect(reason(addLink(map, { from: 'a', to: 'a', phrase: '', kind: null }, maker()))).toContain('itself');
  expect(reason(addLink(map, { from: 'a', to: 'b', phrase: 'x', kind: null }, maker()))).toContain('already linked');
  expect(after(addLink(map, { from: 'b', to: 'a', phrase: '', kind: null }, maker())).links).toHaveLength(3);
  const both = after(addLink(map, { from: 'b', to: 'a', phrase: '', kind: null }, maker()));
  expect(reason(turnLinks(both, ['a-b']))).toContain('the other way round');
  expect(after(turnLinks(map, ['a-b'])).links[0]).toMatchObject({ from: 'b', to: 'a' });
});

test('looks go to all of a selection or to none, and “as its kind” takes them back', () => {
  const ids = ['a', 'b', 'a-b'];
  const looked = after(setLooks(map, ids, { fill: '#ffffff', fontSize: 20, colour: '#112233', width: 4 }, rules));
  expect(looked.topics.slice(0, 2)).toMatchObject([
    { fill: '#ffffff', fontSize: 20 },
    { fill: '#ffffff', fontSize: 20 },
  ]);
  expect(looked.topics[0]).not.toHaveProperty('colour');
  expect(looked.links[0]).toMatchObject({ colour: '#112233', width: 4 });
  expect(looked.topics[0]!.height).toBeGreaterThanOrEqual(36);
  const back = after(asItsKind(looked, ids, rules), looked);
  expect(back.topics[0]).not.toHaveProperty('fill');
  expect(back.links[0]).not.toHaveProperty('colour');
  expect(reason(setLooks(map, ids, { fill: '#ffffff' }, { ...rules, looks: 'fixed' }))).toContain('kind alone');
});

test('a kind brings its looks; an unknown one is refused; topics and links have kinds of their own', () => {
  const looked = after(setLooks(map, ['a'], { shape: 'diamond' }, rules));
  const kinded = after(setTopicKind(looked, ['a', 'a-b'], 'own', rules), looked);
  expect(kinded.topics[0]).toMatchObject({ kind: 'own' });
  expect(kinded.topics[0]).not.toHaveProperty('shape');
  expect(kinded.links[0]!.kind).toBeNull();
  expect(after(setLinkKind(map, ['a-b', 'a'], 'shows', rules)).links[0]!.kind).toBe('shows');
  expect(reason(setTopicKind(map, ['a'], 'nonsense', rules))).toContain('no such kind');
});

test('resizing keeps the upper left corner and never cuts the text', () => {
  const [before, now] = [map.topics[0]!, after(resizeTopic(map, 'a', { width: 200, height: 1 }, legend)).topics[0]!];
  expect(now.width).toBe(200);
  expect(now.x - now.width / 2).toBe(before.x - before.width / 2);
  expect(now.height).toBeGreaterThanOrEqual(34);
});

test('removing a topic takes its links along', () => {
  expect(after(removeMarks(map, ['b']))).toMatchObject({ topics: [{ id: 'a' }, { id: 'c' }], links: [] });
});

test('a copy has new ids and no origin, and brings the links among what was copied', () => {
  const given = { ...map, topics: map.topics.map((one) => ({ ...one, origin: `s-${one.id}`, order: 'a0' })) };
  const pasted = after(pasteMarks(given, copyMarks(given, ['a', 'b', 'b-c']), { x: 30, y: 30 }, maker()), given);
  const [one, two] = pasted.topics.slice(3);
  expect([one!.id, two!.id, one!.x]).toEqual(['new-1', 'new-2', 30]);
  expect(one).not.toHaveProperty('origin');
  expect(one).not.toHaveProperty('order');
  expect(pasted.links.slice(2)).toMatchObject([{ from: 'new-1', to: 'new-2', by: 'me' }]);
});

test('the bank takes one term a line, each once', () => {
  const filled = after(addToBank(map, 'rust\n\n Rust!\npaint', rules, maker()));
  expect(filled.wordBank.map(({ text }) => text)).toEqual(['rust', 'paint']);
  expect(reason(addToBank(filled, 'RUST', rules, maker()))).toContain('already');
  expect(reason(addToBank(map, ' ', rules, maker()))).toContain('Type a term');
});

test('the bank takes no term that waits there or stands on the map, in any of its wordings', () => {
  const given = assignmentOf({ terms: [{ text: 'Truss', accept: ['lattice'] }, { text: 'Arch' }] });
  expect(reason(addToBank(map, 'truss', given, maker()))).toBe('“truss” waits in the bank already.');
  expect(reason(addToBank(map, 'Lattice', given, maker()))).toBe('“Lattice” waits in the bank already.');
  expect(reason(addToBank(map, 'beam', given, maker()))).toBe('“beam” is on the map already.');
  expect(after(addToBank(map, 'arch\nrust\ntruss', given, maker())).wordBank.map(({ text }) => text)).toEqual(['rust']);
});

test('chips are derived: terms not placed, starter topics taken off (with their origin), own terms', () => {
  const assignment = assignmentOf({
    terms: [{ text: 'Arch', kind: 'part' }, { text: 'Pier', kind: 'part' }, { text: 'Shear' }],
    starter: mapOf([topic('s1', { text: 'Arch', kind: 'part' }), topic('s2', { text: 'Quay' })]),
  });
  const begun = mapFromStarter(assignment, 'Noor', maker().newId);
  expect(begun.topics).toMatchObject([
    { id: 'new-1', origin: 's1' },
    { id: 'new-2', origin: 's2' },
  ]);
  expect(bankChips(begun, assignment).map(({ text }) => text)).toEqual(['Pier', 'Shear']);
  const chips = bankChips(
    { ...begun, topics: begun.topics.slice(1), wordBank: [{ id: 'w', text: 'rust' }] },
    assignment,
  );
  expect(chips).toMatchObject([
    { text: 'Arch', origin: 's1', kind: 'part' },
    { text: 'Pier', kind: 'part' },
    { text: 'Shear', kind: null },
    { text: 'rust', own: 'w' },
  ]);
});

test('a free place is the wanted one where that is free, else clear of every topic', () => {
  expect(freeSpot(mapOf([]), { x: 7, y: 8 }, { width: 50, height: 20 })).toEqual({ x: 7, y: 8 });
  const spot = freeSpot(map, { x: 0, y: 0 }, { width: 100, height: 40 });
  expect(map.topics.every((one) => Math.abs(one.x - spot.x) >= 100 || Math.abs(one.y - spot.y) >= 40)).toBe(true);
});
