import fc from 'fast-check';
import { checkMap } from '../checking/check-map.js';
import { applyChanges } from '../map/changes.js';
import type { Assignment } from '../map/types.js';
import type { Evidence, Result } from '../requirements/types.js';
import { requirementTypes } from '../requirements/registry.js';
import { askedFor, found, seldom } from '../testing/maps-with-faults.js';
import { OBEY } from '../testing/obey.js';
import { say } from '../wording/say.js';

/** What is said of a map as it stands, and asks for nothing. */
const SUMMARIES = [
  'share',
  'all',
  'some',
  'none',
  'found',
  'noRoot',
  'noStarter',
  'noReference',
  'enough',
  'varied',
  'fits',
];
/** Messages that explain what counts and what does not, or name a part of another message. */
const TELLS: Record<string, readonly string[]> = {
  'all-terms-present': ['noTerms', 'nearCount'],
  'terms-unchanged': ['copied'],
  'topic-count': ['kindless', 'beside'],
  'link-count': ['kindlessLink', 'besideLink'],
  'kind-count': ['few', 'many', 'kindless'],
  'supporting-material': ['hollow', 'other'],
  'prompts-answered': ['noPrompts'],
  'starter-rewired': ['beside'],
  'links-per-topic': ['otherWay', 'besideLink'],
  'sits-under': ['otherWay', 'otherKind'],
  depth: ['deep'],
  'main-branches': ['many', 'besideLink'],
  'cross-links': ['oneBranch', 'tie', 'hangs', 'inside'],
  'no-cycles': ['others'],
  'forms-cycle': ['plain', 'turned', 'otherKind'],
  'allowed-links': ['pair'],
  'precise-phrases': ['shareNoVerbs'],
  'phrase-variety': ['early', 'same'],
  'propositions-present': ['looks'],
  'like-reference': ['close', 'mateless', 'beside'],
  'kind-style': ['shape', 'fill', 'outline'],
  'link-style': ['path', 'stroke', 'arrow', 'width', 'colour'],
  'few-crossings': ['few', 'many'],
  'map-details': ['title', 'author', 'focusQuestion'],
  'group-share': ['alone'],
  'on-time': ['open', 'early', 'late'],
};

/** What is made or tied has still to be laid out, and there is more of it to count: that is no other fault. */
const MADE = [
  ...['no-overlaps', 'clear-text', 'clear-phrases', 'few-crossings', 'short-links', 'fits-paper', 'arrangement'],
  ...['fan-style', 'branch-colours', 'in-sequence', 'phrase-variety', 'allowed-links', 'supporting-material'],
  ...['topic-count', 'link-count', 'kind-count', 'links-per-topic', 'sits-under', 'depth', 'branching'],
  ...['main-branches', 'note-length'],
];
const MAKES = new Set<string>(
  requirementTypes()
    .filter(({ group }) => group === 'content' || group === 'structure' || group === 'propositions')
    .map(({ id }) => id),
);
/** Whoever does what these say takes something away, or calls it something else: that may be what another asked for. */
const TAKES = new Set([
  ...['terms-unchanged', 'right-kind', 'blanks-filled', 'short-topics', 'no-duplicate-topics', 'prompts-answered'],
  ...['topic-count', 'link-count', 'kind-count', 'links-per-topic', 'allowed-links', 'no-parallel-links', 'no-cycles'],
  ...['forms-cycle', 'branching', 'main-branches', 'depth', 'propositions-present', 'propositions-absent'],
  ...['like-reference'],
]);
/** Beyond that, by type: what two requirements ask of one map may be against each other. */
const LAYOUT = requirementTypes()
  .filter(({ group }) => group === 'layout')
  .map(({ id }) => id);
const MAY_COST: Record<string, readonly string[]> = {
  // In free style the looks say the kind, and elsewhere a branch has its fill.
  'kind-style': ['branch-colours', 'ink-contrast', 'fan-style', ...MAKES],
  'branch-colours': ['kind-style', ...MAKES],
  // All is laid out anew.
  'fits-paper': LAYOUT,
  // A kind of link runs another way.
  'link-style': ['clear-text', 'clear-phrases', 'short-links', 'few-crossings'],
  // Nearer may be before what it comes after.
  'short-links': ['in-sequence', 'arrangement'],
  // Out of a heap no way leads over nothing.
  'no-overlaps': ['clear-text', 'clear-phrases'],
};
const mayCost = (type: string, other: string): boolean =>
  (MAKES.has(type) && MADE.includes(other)) ||
  (TAKES.has(type) && MAKES.has(other)) ||
  (MAY_COST[type]?.includes(other) ?? false);

/** The same message of the same topics and links. */
const isSame = (a: Evidence, b: Evidence): boolean =>
  [a.code, a.term, ...a.topics, ...a.links].join() === [b.code, b.term, ...b.topics, ...b.links].join();

/** All that is said of a requirement, each sort of message once. */
const saidOf = (result: Result): Evidence[] => {
  const summary = { code: result.code, data: result.data ?? {}, topics: [], links: [] };
  return [...new Map([...result.evidence, summary].map((one) => [one.code, one])).values()];
};
/** More ways than anybody would try. */
const WAYS = 600;
const CLOSE = 1e-9;

test('whoever does what a message says comes nearer by it, and breaks nothing that was met', () => {
  const walked = new Set<string>();
  fc.assert(
    fc.property(found, ([map, n]) => {
      // With fewer there is nothing to tie or to tell apart yet.
      fc.pre(map.topics.length > 2);
      const assignment = askedFor(n);
      const asking = (types: ReadonlySet<string>): Assignment => ({
        ...assignment,
        requirements: assignment.requirements.filter(({ type }) => types.has(type)),
      });
      const before = checkMap(map, assignment).results;
      const isMet = new Set(before.filter(({ status }) => status === 'met').map(({ type }) => type));
      const met = asking(isMet);
      for (const result of before) {
        const { type } = result;
        const { params } = assignment.requirements.find((one) => one.type === type)!;
        const alone = asking(new Set([type]));
        for (const piece of saidOf(result)) {
          const obey = OBEY[type]?.[piece.code];
          if (!obey) continue;
          const costs: string[][] = [];
          let tried = 0;
          for (const way of obey({ map, assignment, params, ...piece, data: piece.data ?? {} })) {
            if (way.length === 0) continue;
            if (++tried > WAYS) break;
            const then = applyChanges(map, way);
            const now = checkMap(then, alone).results[0]!;
            const gain = (now.fraction ?? 1) - (result.fraction ?? 1);
            const isOfAll = piece.topics.length + piece.links.length === 0 && piece.term === undefined;
            const isNearer = isOfAll ? gain > CLOSE : gain > -CLOSE && !now.evidence.some((one) => isSame(one, piece));
            if (!isNearer) continue;
            const lost = checkMap(then, met).results.filter(
              // A share of nothing is 0: there is nothing left to ask it of.
              ({ status, data }) => (status === 'partly' || status === 'unmet') && data?.of !== 0,
            );
            costs.push(lost.map((one) => one.type).filter((other) => other !== type && !mayCost(type, other)));
            if (costs.at(-1)!.length === 0) break;
          }
          if (tried === 0) continue;
          walked.add(`${type} ${piece.code}`);
          const [least] = costs.toSorted((a, b) => a.length - b.length);
          expect({ type, said: say(type, piece), params, costs: least }).toEqual({
            type,
            said: say(type, piece),
            params,
            costs: [],
          });
        }
      }
    }),
    {
      numRuns: Number(process.env.RUNS ?? 20),
      examples: seldom.map((one) => [one]),
    },
  );
  // It is no test of what never comes up.
  expect(walked.size).toBeGreaterThan(60);
});

test('every message says something to do that is walked here, or only how it stands', () => {
  const neither = requirementTypes().flatMap(({ id, messages }) =>
    Object.keys(messages)
      .filter((code) => !OBEY[id]?.[code] && ![...SUMMARIES, ...(TELLS[id] ?? [])].includes(code))
      .map((code) => `${id} ${code}`),
  );
  expect(neither).toEqual([]);
});
