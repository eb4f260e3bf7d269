import fc from 'fast-check';
import { understood } from '../formats/problems.js';
import { readMap, writeMap } from '../formats/map-file.js';
import { tidyMap } from '../tidy/tidy.js';
import { applyChanges, done } from '../map/changes.js';
import type { Outcome } from '../map/changes.js';
import { reasonOf } from '../wording/say.js';
import { mend } from '../drawn/mend.js';
import type { TopicMap } from '../map/types.js';
import { assignmentOf, link, maker, mapOf, topic } from '../testing/make.js';
import { lineUp, makeRoom, moveClear, sameSize, setInRow, setLayer, stretchRow } from './arrange.js';
import { cutLoose, hangFrom } from './branches.js';
import { addWebAddress, setNote, setSequence, toggleMark } from './enrich.js';
import { colourBranch } from './recolour.js';
import { asTopics, setWordless } from './pictures.js';
import { toggleFold } from './fold.js';
import { goBackTo } from './go-back.js';
import { makeGroup, makeRegion, ungroup } from './together.js';
import { uncross } from './uncross.js';
import { addLink, bendLink, linkAll, reattach, setPhrase, turnLinks } from './links.js';
import { asItsKind, setLinkKind, setLooks, setTopicKind } from './looks.js';
import { addTopic, growTopic, moveMarks, putBetween, resizeTopic, setText, splitLink } from './topics.js';
import { addToBank, copyMarks, entitle, pasteMarks, removeMarks } from './whole-map.js';

/** A hand that does anything at all, in any order: whatever a command lets through must leave a whole map. */

const rules = assignmentOf();
const { legend } = rules;
const start = mapOf(
  [topic('a', { kind: 'root' }), topic('b', { x: 200, kind: 'part' }), topic('c', { x: 400, fill: '#ffffff' })],
  [link('a', 'b', { kind: 'says' }), link('b', 'c')],
);

type Act = (map: TopicMap, make: ReturnType<typeof maker>) => Outcome;

const text = fc.constantFrom(
  'Arch',
  '  ',
  '',
  'a\nb',
  'x'.repeat(300),
  'x'.repeat(301),
  '橋'.repeat(120),
  '<b>bold</b>',
);
const far = fc.constantFrom(0, -3.5, 40, 1e5, 1e6, -2e6, 1e9);
const size = fc.constantFrom(0, -10, 30, 260, 19_999, 30_000);
/** Which of the marks there are, by number: some of them twice, some that are gone. */
const picks = fc.array(fc.nat(9), { maxLength: 4 });
const kind = fc.constantFrom(null, 'part', 'own', 'nobody’s');
const linkKind = fc.constantFrom(null, 'says', 'shows', 'nobody’s');

const idsOf = (map: TopicMap, numbers: readonly number[]): string[] => {
  const all = [...map.topics, ...map.links].map(({ id }) => id);
  return numbers.map((n) => all[n] ?? 'gone');
};
const oneOf = (map: TopicMap, n: number): string => idsOf(map, [n])[0]!;

const act: fc.Arbitrary<Act> = fc.oneof(
  fc.tuple(text, kind, far, far).map(([words, of, x, y]): Act => {
    return (map, make) => addTopic(map, { text: words, kind: of, at: { x, y } }, make, legend);
  }),
  fc.tuple(fc.nat(9), text, kind, linkKind).map(([n, words, of, tie]): Act => {
    return (map, make) => growTopic(map, { from: oneOf(map, n), text: words, kind: of, linkKind: tie }, make, legend);
  }),
  fc.tuple(fc.nat(9), text).map(
    ([n, words]): Act =>
      (map) =>
        setText(map, oneOf(map, n), words, legend),
  ),
  fc.tuple(picks, far, far).map(
    ([ns, x, y]): Act =>
      (map) =>
        moveMarks(map, idsOf(map, ns), { x, y }),
  ),
  fc.tuple(fc.nat(9), size, size).map(([n, width, height]): Act => {
    return (map) => resizeTopic(map, oneOf(map, n), { width, height }, legend);
  }),
  fc.tuple(fc.nat(9), fc.nat(9), text, linkKind).map(([a, b, phrase, of]): Act => {
    return (map, make) => addLink(map, { from: oneOf(map, a), to: oneOf(map, b), phrase, kind: of }, make);
  }),
  fc.tuple(fc.nat(9), text).map(
    ([n, words]): Act =>
      (map) =>
        setPhrase(map, oneOf(map, n), words),
  ),
  picks.map(
    (ns): Act =>
      (map) =>
        turnLinks(map, idsOf(map, ns)),
  ),
  fc
    .tuple(picks, fc.constantFrom<object>({ fill: '#aabbcc' }, { shape: 'diamond', fontSize: 30 }, { dash: 'dotted' }))
    .map(
      ([ns, looks]): Act =>
        (map) =>
          setLooks(map, idsOf(map, ns), looks, rules),
    ),
  picks.map(
    (ns): Act =>
      (map) =>
        asItsKind(map, idsOf(map, ns), rules),
  ),
  fc.tuple(picks, kind).map(
    ([ns, of]): Act =>
      (map) =>
        setTopicKind(map, idsOf(map, ns), of, rules),
  ),
  fc.tuple(picks, linkKind).map(
    ([ns, of]): Act =>
      (map) =>
        setLinkKind(map, idsOf(map, ns), of, rules),
  ),
  picks.map(
    (ns): Act =>
      (map) =>
        removeMarks(map, idsOf(map, ns)),
  ),
  picks.map(
    (ns): Act =>
      (map, make) =>
        pasteMarks(map, copyMarks(map, idsOf(map, ns)), { x: 20, y: 20 }, make),
  ),
  fc.tuple(text, text).map(
    ([title, focusQuestion]): Act =>
      (map) =>
        entitle(map, { title, focusQuestion }),
  ),
  text.map(
    (words): Act =>
      (map, make) =>
        addToBank(map, words, rules, make),
  ),
  fc.tuple(picks, fc.nat(9), text, far, fc.nat(23)).map(([ns, n, words, far_, which]): Act => {
    return (map, make) => {
      const [ids, one] = [idsOf(map, ns), oneOf(map, n)];
      const acts: (() => Outcome)[] = [
        () => setInRow(map, ids, 'x'),
        () => stretchRow(map, ids, 'y', far_),
        () => lineUp(map, ids, 'right'),
        () => sameSize(map, ids, 'both', legend),
        () => setLayer(map, ids, 'front', legend),
        () => makeRoom(map, 'x', 10, far_),
        () => moveClear(map, ids),
        () => cutLoose(map, ids),
        () => hangFrom(map, { ids, from: one, linkKind: null }, make),
        () => putBetween(map, { id: one, link: ids[0] ?? 'gone' }, make),
        () => asTopics(map, ids, 'own', make, legend),
        () => setWordless(map, ids, true, legend),
        () => colourBranch(map, ids, { fill: '#cfe0dc', lines: true }, rules),
        () => reattach(map, one, 'to', ids[0] ?? 'gone'),
        () => linkAll(map, { ids, one, way: 'from one', kind: 'says' }, make),
        () => bendLink(map, one, { bend: far_, phraseAt: 0.3 }, rules),
        () => splitLink(map, one, { text: words, kind: null }, make, legend),
        () => makeRegion(map, ids, words, make),
        () => makeGroup(map, ids, make),
        () => ungroup(map, ids),
        () => toggleFold(map, ids),
        () => setNote(map, one, words),
        () => addWebAddress(map, one, `example.org/${words}`, words),
        () => setSequence(map, one, far_, words),
        () => toggleMark(map, ids, 'done'),
        () => uncross(map, legend),
        () => done(...tidyMap(map, { way: 'outward' }, legend)),
        () => goBackTo(map, start),
      ];
      return acts[which]!();
    };
  }),
);

test('whatever a hand does in whatever order, the map stays whole, and what is refused is refused in a sentence', () => {
  fc.assert(
    fc.property(fc.array(act, { maxLength: 12 }), (acts) => {
      const make = maker();
      let map: TopicMap = start;
      for (const one of acts) {
        const outcome = one(map, make);
        if (!outcome.ok) {
          expect(reasonOf(outcome)).toMatch(/^[\p{Lu}“].*\.$/su);
          continue;
        }
        const before = JSON.stringify(map);
        const next = applyChanges(map, outcome.changes);
        expect(JSON.stringify(map)).toBe(before);
        expect(mend(next)).toEqual({ map: next, dropped: [] });
        map = next;
      }
      expect(() => understood(readMap(JSON.parse(JSON.stringify(writeMap(map)))))).not.toThrow();
    }),
    { numRuns: 600 },
  );
});

test('changes name what they change: done again on what came of them, a setting command does nothing', () => {
  fc.assert(
    fc.property(picks, kind, far, (ns, of, step) => {
      const ids = idsOf(start, ns);
      for (const again of [
        (map: TopicMap) => setTopicKind(map, ids, of, rules),
        (map: TopicMap) => setLooks(map, ids, { fill: '#aabbcc' }, rules),
        (map: TopicMap) => asItsKind(map, ids, rules),
      ]) {
        const once = again(start);
        if (!once.ok) continue;
        const after = applyChanges(start, once.changes);
        expect(again(after)).toEqual({ ok: true, changes: [] });
      }
      const moved = moveMarks(start, ids, { x: step, y: 0 });
      if (moved.ok) expect(applyChanges(start, moved.changes).links).toBe(start.links);
    }),
  );
});
