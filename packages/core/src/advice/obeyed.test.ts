import fc from 'fast-check';
import { checkMap } from '../checking/check-map.js';
import { setPhrase, turnLinks } from '../commands/links.js';
import { asItsKind, setLooks, setTopicKind } from '../commands/looks.js';
import { setText } from '../commands/topics.js';
import { removeMarks } from '../commands/whole-map.js';
import { applyChanges } from '../map/changes.js';
import type { Change, Outcome } from '../map/changes.js';
import type { Assignment, TopicMap } from '../map/types.js';
import { MapIndex } from '../map-index/map-index.js';
import type { Evidence, Report } from '../requirements/types.js';
import { assignment as some, maps, need } from '../testing/random-maps.js';

/** What a class would be asked, of every sort whose messages say what to do. */
const WANTED = [{ from: 'Arch', to: 'Pier', phrases: ['pushes on'], direction: 'as-given' }];
const asked: Assignment = {
  ...some,
  requirements: [
    need('terms-unchanged'),
    need('right-kind'),
    need('short-topics', { maxWords: 1 }),
    need('no-duplicate-topics'),
    need('links-labelled'),
    need('arrowed-links'),
    need('precise-phrases'),
    need('propositions-present', { propositions: WANTED }),
    need('propositions-absent', { propositions: [{ from: 'Pier', to: 'Arch', phrases: [], direction: 'as-given' }] }),
    need('no-parallel-links'),
    need('ink-contrast'),
    need('pale-fills'),
    need('text-size'),
    need('kind-style'),
    need('map-details', { needs: ['title'] }),
    need('cross-links', { min: 1 }),
    need('all-connected'),
  ],
};
const { legend } = asked;

const changesOf = (outcome: Outcome): readonly Change[] => (outcome.ok ? outcome.changes : []);
const set = (list: 'topics' | 'links', id: string, fields: Record<string, unknown>): Change => ({
  do: 'set',
  in: list,
  id,
  fields,
});
const textOf = (map: TopicMap, id: string): string => map.topics.find((topic) => topic.id === id)!.text;

/** Links of a topic that goes are moved to another; what would join that to itself goes. */
const moved = (map: TopicMap, from: string, to: string): Change[] =>
  map.links.flatMap((link): Change[] => {
    if (link.from !== from && link.to !== from) return [];
    const ends = { from: link.from === from ? to : link.from, to: link.to === from ? to : link.to };
    return ends.from === ends.to ? [{ do: 'remove', from: 'links', id: link.id }] : [set('links', link.id, ends)];
  });

/** By requirement type and message, how somebody does exactly what it says. */
type Obey = (map: TopicMap, evidence: Evidence) => readonly Change[];
const topicsTo =
  (change: (map: TopicMap, id: string) => Outcome): Obey =>
  (map, { topics }) =>
    topics.flatMap((id) => changesOf(change(map, id)));
const linksTo =
  (change: (map: TopicMap, id: string) => Outcome): Obey =>
  (map, { links }) =>
    links.flatMap((id) => changesOf(change(map, id)));
const kindNamed = (name: unknown): string | null =>
  legend.topicKinds.find((kind) => JSON.stringify(name ?? null).includes(kind.name))?.id ?? null;
const recast: Obey = (map, { topics, data }) =>
  changesOf(setTopicKind(map, [...topics], kindNamed(data?.should), asked));
const own: Obey = (map, { topics }) => changesOf(setTopicKind(map, [...topics], 'own', asked));

const OBEY: Record<string, Record<string, Obey>> = {
  'terms-unchanged': {
    renamed: (map, { topics, data }) => changesOf(setText(map, topics[0]!, data!.text as string, legend)),
    renamedTwice: (map, { topics, data }) => {
      const [id] = topics;
      const other = map.topics.find((topic) => topic.id !== id && topic.text === (data!.text as string))!;
      return [
        ...changesOf(setText(map, id!, data!.text as string, legend)),
        ...moved(map, other.id, id!),
        { do: 'remove', from: 'topics', id: other.id },
      ];
    },
    otherKind: (map, { topics }) => changesOf(setTopicKind(map, [...topics], 'part', asked)),
  },
  'right-kind': {
    bare: recast,
    wrong: recast,
    bareOwn: own,
    wrongOwn: own,
  },
  'short-topics': {
    long: topicsTo((map, id) => setText(map, id, textOf(map, id).split(' ')[0]!, legend)),
  },
  'no-duplicate-topics': {
    twice: (map, { topics }) => {
      const [kept, ...others] = topics;
      const changes: Change[] = [];
      for (const id of others) {
        const now = applyChanges(map, changes);
        changes.push(...moved(now, id, kept!), { do: 'remove', from: 'topics', id });
      }
      return changes;
    },
  },
  'links-labelled': { bare: linksTo((map, id) => setPhrase(map, id, 'rests on')) },
  'arrowed-links': { plain: (_map, { links }) => links.map((id) => set('links', id, { arrow: 'forward' })) },
  'precise-phrases': {
    vague: linksTo((map, id) => setPhrase(map, id, 'carries')),
    noVerb: linksTo((map, id) => setPhrase(map, id, 'carries')),
  },
  'propositions-present': {
    otherWords: linksTo((map, id) => setPhrase(map, id, 'pushes on')),
    wrongWay: (map, { links }) =>
      links.flatMap((id) => {
        const turned = applyChanges(map, changesOf(turnLinks(map, [id])));
        return [...changesOf(turnLinks(map, [id])), ...changesOf(setPhrase(turned, id, 'pushes on'))];
      }),
    missing: (map) => {
      const index = new MapIndex(map, asked);
      const [from, to] = ['Arch', 'Pier'].map((text) => index.matchText(text)?.topic.id);
      const item = { id: 'said', from: from!, to: to!, phrase: 'pushes on', kind: null };
      return from && to && from !== to ? [{ do: 'add', to: 'links', item }] : [];
    },
  },
  'propositions-absent': { wrong: (map, { links }) => changesOf(removeMarks(map, [...links])) },
  'no-parallel-links': {
    twice: (map, { links }) => {
      const kept = map.links
        .filter(({ id }) => links.includes(id))
        .sort((a, b) => b.phrase.length - a.phrase.length)[0]!;
      return changesOf(
        removeMarks(
          map,
          links.filter((id) => id !== kept.id),
        ),
      );
    },
  },
  'ink-contrast': { faint: topicsTo((map, id) => setLooks(map, [id], { ink: '#000000', fill: '#ffffff' }, asked)) },
  'pale-fills': { dark: topicsTo((map, id) => setLooks(map, [id], { fill: '#ffffff' }, asked)) },
  'text-size': { small: topicsTo((map, id) => setLooks(map, [id], { fontSize: 14 }, asked)) },
  'kind-style': { wrong: topicsTo((map, id) => asItsKind(map, [id], asked)) },
  'map-details': { missing: () => [{ do: 'entitle', fields: { title: 'Bridges' } }] },
  'cross-links': { wordless: linksTo((map, id) => setPhrase(map, id, 'rests on')) },
};

/** Advice that takes something away may take away what something else asked for; which, is said here. */
const MAY_COST: Record<string, readonly string[]> = {
  // Of two topics one goes, and where they were both given, or both tied, that shows.
  'no-duplicate-topics': [
    'terms-unchanged',
    'right-kind',
    'no-parallel-links',
    'cross-links',
    'propositions-present',
    'all-connected',
    'propositions-absent',
  ],
  'terms-unchanged': [
    'cross-links',
    'propositions-present',
    'all-connected',
    'right-kind',
    'propositions-absent',
    'no-parallel-links',
  ],
  'propositions-absent': ['cross-links', 'all-connected', 'propositions-present'],
  'no-parallel-links': ['cross-links', 'propositions-present', 'propositions-absent'],
  // A tie more may make a way shorter, and two of one pair.
  'propositions-present': ['cross-links', 'no-parallel-links', 'propositions-absent'],
  'right-kind': ['terms-unchanged', 'kind-style'],
  // Another kind's looks, or none, on another ground.
  'ink-contrast': ['kind-style'],
  'pale-fills': ['kind-style', 'ink-contrast'],
  'short-topics': [
    'terms-unchanged',
    'no-duplicate-topics',
    'right-kind',
    'propositions-present',
    'propositions-absent',
  ],
  'arrowed-links': ['propositions-present', 'propositions-absent'],
  'links-labelled': ['propositions-absent'],
  'precise-phrases': ['propositions-present', 'propositions-absent'],
};

/** Where links go, shares of links are of fewer, perhaps of none. */
const OF_LINKS = ['links-labelled', 'arrowed-links', 'precise-phrases'];
for (const type of ['no-duplicate-topics', 'terms-unchanged', 'propositions-absent', 'no-parallel-links'])
  MAY_COST[type] = [...MAY_COST[type]!, ...OF_LINKS];

const fractionOf = (report: Report, type: string): number =>
  report.results.find((one) => one.type === type)!.fraction ?? 1;

/** The same maps with a teacher's usual finds: vague words, plain lines, dark fills, small letters, long topics. */
const found = fc.tuple(maps, fc.nat(1000)).map(([map, n]): TopicMap => {
  const at = (i: number, every: number): boolean => (i + n) % every === 0;
  return {
    ...map,
    topics: map.topics.map((topic, i) => ({
      ...topic,
      ...(at(i, 5) && { fill: '#223344' }),
      ...(at(i, 7) && { ink: '#dddddd' }),
      ...(at(i, 6) && { fontSize: 8 }),
      ...(at(i, 4) && { text: `${topic.text} of stone` }),
    })),
    links: map.links.map((link, i) => ({
      ...link,
      ...(at(i, 3) && { phrase: 'relates to' }),
      ...(at(i, 4) && { arrow: 'none' as const }),
      ...(at(i, 5) && { phrase: 'pushes on' }),
    })),
  };
});

test('whoever does exactly what a message says comes nearer, and breaks nothing that was met', () => {
  const obeyed = new Set<string>();
  fc.assert(
    fc.property(found, (map) => {
      const before = checkMap(map, asked);
      for (const { type, evidence } of before.results)
        for (const piece of evidence) {
          const obey = piece.code && OBEY[type]?.[piece.code];
          if (!obey) continue;
          const changes = obey(map, piece);
          if (changes.length === 0) continue;
          const then = applyChanges(map, changes);
          // Of a map without links nothing about links is met.
          if (then.links.length === 0 || then.topics.length < 2) continue;
          const after = checkMap(then, asked);
          obeyed.add(`${type} ${piece.code}`);
          const of = { type, code: piece.code };
          if (piece.flag !== false)
            expect({ ...of, nearer: fractionOf(after, type) > fractionOf(before, type) - 1e-9 }).toEqual({
              ...of,
              nearer: true,
            });
          for (const other of before.results) {
            if (other.type === type || other.status !== 'met' || MAY_COST[type]?.includes(other.type)) continue;
            const now = after.results.find((one) => one.type === other.type)!;
            // A share of nothing is 0: there is nothing left to ask it of.
            if (now.data?.of === 0) continue;
            expect({ ...of, other: other.type, kept: fractionOf(after, other.type) > 1 - 1e-9 }).toEqual({
              ...of,
              other: other.type,
              kept: true,
            });
          }
        }
    }),
    { numRuns: 150 },
  );
  // It is no test of what never comes up.
  expect(obeyed.size).toBeGreaterThan(12);
});
