import { applyChanges } from '../map/changes.js';
import { mapFromStarter } from '../drawn/start.js';
import { mend } from '../drawn/mend.js';
import { assignmentOf, link, mapOf, topic } from '../testing/make.js';
import { adoptRevision } from './adopt-revision.js';
import { differsInWordingOnly, newsOf } from './news.js';

const old = assignmentOf({
  title: 'Bridges',
  focusQuestion: 'How?',
  starter: mapOf(
    [topic('arch', { kind: 'part' }), topic('beam', { kind: 'part', y: 100 }), topic('gone', { y: 200 })],
    [link('arch', 'beam')],
  ),
});
const next = assignmentOf({
  ...old,
  title: 'Bridges!',
  starter: mapOf(
    [
      topic('arch', { kind: 'root', text: 'Round arch' }),
      // Drawn anew: another id, and known again by its words.
      topic('beam-2', { text: 'beam', kind: 'part', y: 100 }),
      topic('cable', { kind: 'part', y: 100 }),
    ],
    [link('arch', 'beam-2'), link('arch', 'cable', { phrase: 'hangs' })],
  ),
});
const begun = () => {
  let count = 0;
  return mapFromStarter(old, 'Noor', () => `own-${++count}`);
};
const names = { idFor: (given: string) => `new-${given}` };
const adopted = (map: ReturnType<typeof begun>) => applyChanges(map, adoptRevision(map, old, next, names));

describe('a work moves on to the next revision', () => {
  test('what was given follows where it was left as it was, and what is new has a free place', () => {
    const map = adopted(begun());
    expect(map.title).toBe('Bridges!');
    expect(map.topics.map(({ text, kind, origin }) => [text, kind, origin])).toEqual([
      ['Round arch', 'root', 'arch'],
      ['beam', 'part', 'beam-2'],
      // Given no more: it stays, as the student's own.
      ['gone', null, undefined],
      ['cable', 'part', 'cable'],
    ]);
    const [, beam, , cable] = map.topics;
    expect([cable!.x, cable!.y]).not.toEqual([beam!.x, beam!.y]);
    expect(map.links.map(({ phrase, origin }) => [phrase, origin])).toEqual([
      ['holds', 'arch-beam-2'],
      ['hangs', 'arch-cable'],
    ]);
    expect(mend(map).dropped).toEqual([]);
  });
  test('the student’s own words, kinds, titles and places are not touched', () => {
    const mine = begun();
    const map = adopted({
      ...mine,
      title: 'Mine',
      topics: mine.topics.map((one, i) => (i === 0 ? { ...one, text: 'My arch', kind: 'own', x: 900 } : one)),
    });
    expect(map.title).toBe('Mine');
    expect(map.topics[0]).toMatchObject({ text: 'My arch', kind: 'own', x: 900, origin: 'arch' });
  });
  test('a kind that is no more leaves its topics without one, in a size that fits', () => {
    const without = {
      ...next,
      legend: { ...next.legend, topicKinds: next.legend.topicKinds.filter(({ id }) => id !== 'own') },
    };
    const mine = { ...begun(), topics: [topic('x', { kind: 'own', width: 400 })] };
    const changes = adoptRevision(mine, old, without, names);
    const [own] = applyChanges(mine, changes).topics;
    expect(own!.kind).toBeNull();
    expect(own!.width).toBeLessThan(400);
  });
  test('adopted twice, it is as adopted once: nothing given is there double, and ids are the same', () => {
    const once = adopted(begun());
    const twice = adopted(once);
    expect(twice.topics.map(({ id }) => id)).toEqual(once.topics.map(({ id }) => id));
    expect(twice.links.map(({ id }) => id)).toEqual(once.links.map(({ id }) => id));
    expect(once.topics.at(-1)!.id).toBe('new-cable');
  });
  test('to the same revision nothing happens', () => {
    const mine = begun();
    const fitted = applyChanges(mine, adoptRevision(mine, old, old, names));
    expect(adoptRevision(fitted, old, old, names)).toEqual([]);
  });
});

describe('what is new', () => {
  const r = (id: string, more: object = {}) => ({
    id,
    type: 'all-connected',
    params: {},
    level: 'must' as const,
    points: 1,
    ...more,
  });
  test('is told by requirements, terms and parts', () => {
    const [a, b] = [
      assignmentOf({ requirements: [r('1'), r('2'), r('3')], terms: [{ text: 'A' }, { text: 'B' }] }),
      assignmentOf({
        requirements: [r('1'), r('2', { points: 2 }), r('4')],
        terms: [{ text: 'B' }, { text: 'C' }],
        styleMode: 'free',
      }),
    ];
    expect(newsOf(a, b)).toEqual({
      requirements: { added: ['4'], changed: ['2'], removed: 1 },
      terms: { added: ['C'], removed: ['A'] },
      parts: [],
    });
    expect(newsOf(old, next).parts).toEqual(['starter']);
  });
  test('a typo is no news: titles, briefs, hints and names', () => {
    const whole = assignmentOf({
      requirements: [r('1')],
      criteria: [{ id: 'c', name: 'Insite', levels: [{ name: 'a', points: 1, description: '' }] }],
    });
    const mended = {
      ...whole,
      title: 'B',
      brief: 'New',
      focusQuestion: 'Why?',
      requirements: [r('1', { hint: 'Look!' })],
      criteria: [{ id: 'c', name: 'Insight', levels: [{ name: 'b', points: 1, description: 'so' }] }],
      legend: {
        ...whole.legend,
        topicKinds: whole.legend.topicKinds.map((kind) => ({ ...kind, name: `${kind.name}!` })),
      },
    };
    expect(differsInWordingOnly(whole, mended)).toBe(true);
    expect(differsInWordingOnly(whole, { ...mended, requirements: [r('1', { points: 2 })] })).toBe(false);
    expect(differsInWordingOnly(whole, { ...mended, language: 'de' })).toBe(false);
  });
});
