import { checkMap } from '../checking/check-map.js';
import { moveClear } from '../commands/arrange.js';
import { isFixed, setLooks } from '../commands/looks.js';
import { BRANCH_FILLS, colourBranches, filled, fillSaysKind } from '../commands/recolour.js';
import { uncross } from '../commands/uncross.js';
import { applyChanges, done, refused } from '../map/changes.js';
import type { Change, Outcome } from '../map/changes.js';
import type { Assignment, Requirement, TopicLooks, TopicMap } from '../map/types.js';
import { MapIndex } from '../map-index/map-index.js';
import { withDefaults } from '../requirements/params.js';
import { fanStyle } from '../requirements/style/fan-style.js';
import { textSize } from '../requirements/style/text-size.js';
import type { Result } from '../requirements/types.js';
import { pullApart } from '../tidy/links/pull-apart.js';
import { breaksOf } from './breaks.js';

/** What can be done for a student without giving anything away: looks and places alone. ICU messages in English. */
export const SAFE_HELP = {
  moveClear: 'Move {count, plural, one {it} other {these {count}}} clear',
  oneColour: 'Make these {count} links one colour',
  pullApart: 'Pull lines and words apart',
  uncross: 'Make the one move that takes most crossings away',
  paler: 'Make {count, plural, one {it} other {these {count}}} paler',
  larger: 'Write {count, plural, one {it} other {these {count}}} larger',
  darkInk: 'Write {count, plural, one {it} other {these {count}}} in ink that can be read',
  branches: 'Give each branch a fill of its own',
} as const;

export interface SafeHelp {
  code: keyof typeof SAFE_HELP;
  data: { count: number };
  /** worked out when it is asked for */
  outcome: () => Outcome;
}

/** Paler than most, and as pale as can be. */
const PALE = ['#f1efe6', '#ffffff'];
const [DARK_INK, WHITE_INK] = ['#1a1a1a', '#ffffff'];
const LEAST_SIZE = 14;
/** Colours for the links of a busy topic, all dark on paper. */
const FAN_COLOURS = ['#35596a', '#9a5138', '#5a4b86', '#35645b', '#7a6c3a', '#7a2e5d'];
const CLOSE = 1e-9;

type Way = () => Outcome;

/**
 * What may be offered for a result that is not met; null where it would take a thought from whoever should think it. Of the
 * ways there are the first one is taken that comes nearer to what is asked and does worse in nothing else.
 */
export function safeHelp(
  { id, type, status, evidence }: Pick<Result, 'id' | 'type' | 'status' | 'evidence'>,
  map: TopicMap,
  assignment: Assignment,
): SafeHelp | null {
  const requirement = assignment.requirements.find((one) => one.id === id);
  if (!requirement || status === 'met' || status === 'judge' || status === 'not-applicable') return null;
  const topics = [...new Set(evidence.flatMap((one) => one.topics))];
  const links = [...new Set(evidence.flatMap((one) => one.links))];
  const { legend } = assignment;
  const help = (code: SafeHelp['code'], count: number, ways: () => readonly Way[]): SafeHelp | null =>
    count > 0 ? { code, data: { count }, outcome: () => harmless(map, assignment, requirement, ways()) } : null;
  const looks =
    (fields: TopicLooks): Way =>
    () =>
      setLooks(map, topics, fields, assignment);
  switch (type) {
    case 'no-overlaps':
      return help('moveClear', topics.length, () =>
        [topics, ...topics.map((one) => [one])].map((ids) => () => clearOneByOne(map, ids)),
      );
    case 'fan-style': {
      const [fan] = evidence.filter((one) => one.links.length > 0);
      const width = Number(withDefaults(fanStyle, requirement.params).minWidth);
      return help('oneColour', fan?.links.length ?? 0, () =>
        FAN_COLOURS.map((colour) => () => setLooks(map, fan!.links, { colour, width }, assignment)),
      );
    }
    case 'few-crossings':
      return help('uncross', 1, () => [() => uncross(map, legend)]);
    case 'clear-phrases':
    case 'clear-text':
      return help('pullApart', 1, () =>
        [[], ...links.map((one) => [one])].map(
          (ids) => () => done(...pullApart(map, ids, legend, isFixed(assignment))),
        ),
      );
    case 'pale-fills':
      // What kind it is would be another then, which is for its author to say.
      return fillSaysKind(assignment)
        ? null
        : help('paler', topics.length, () => PALE.flatMap((fill) => [looks({ fill }), looks({ fill, ink: DARK_INK })]));
    case 'text-size': {
      const fontSize = Math.max(LEAST_SIZE, Number(withDefaults(textSize, requirement.params).min));
      return help('larger', topics.length, () => [
        looks({ fontSize }),
        () => largerAndClear(map, topics, fontSize, assignment),
      ]);
    }
    case 'ink-contrast':
      return help('darkInk', topics.length, () => [looks({ ink: DARK_INK }), looks({ ink: WHITE_INK })]);
    case 'branch-colours':
      return help('branches', 1, () => [() => colourBranches(map, assignment), () => colourHomes(map, assignment)]);
    default:
      return null;
  }
}

/** The first way that comes nearer to what is asked, and does worse in nothing else. */
function harmless(map: TopicMap, assignment: Assignment, requirement: Requirement, ways: readonly Way[]): Outcome {
  const alone = { ...assignment, requirements: [requirement] };
  const fractionOf = (tried: TopicMap): number => checkMap(tried, alone).results[0]!.fraction ?? 0;
  const breaks = breaksOf(map, assignment, requirement.id);
  const before = fractionOf(map);
  let refusal: Outcome | null = null;
  for (const way of ways) {
    const outcome = way();
    if (!outcome.ok) refusal ??= outcome;
    else {
      const then = applyChanges(map, outcome.changes);
      if (fractionOf(then) > before + CLOSE && !breaks(then)) return outcome;
    }
  }
  return refusal ?? refused('nothingHarmless');
}

/** Each topic clear of all others as they then stand. */
function clearOneByOne(map: TopicMap, ids: readonly string[]): Outcome {
  const changes: Change[] = [];
  let now = map;
  for (const id of ids) {
    const outcome = moveClear(now, [id]);
    if (!outcome.ok) continue;
    changes.push(...outcome.changes);
    now = applyChanges(now, outcome.changes);
  }
  return done(...changes);
}

/** Larger letters make larger topics: those step aside where they lie on others then. */
function largerAndClear(map: TopicMap, ids: readonly string[], fontSize: number, assignment: Assignment): Outcome {
  const larger = setLooks(map, ids, { fontSize }, assignment);
  if (!larger.ok) return larger;
  const clear = clearOneByOne(applyChanges(map, larger.changes), ids);
  return clear.ok ? done(...larger.changes, ...clear.changes) : clear;
}

/** Each main branch and what has its home there in one fill: as the requirement reads branches, not as they were drawn. */
function colourHomes(map: TopicMap, assignment: Assignment): Outcome {
  if (isFixed(assignment)) return refused('looksFixed');
  if (fillSaysKind(assignment)) return refused('fillSaysKind');
  const { mainBranches, homes } = new MapIndex(map, assignment);
  return done(
    ...mainBranches.flatMap(({ id }, i) => {
      const own = [...homes].filter(([, home]) => home === id).map(([topic]) => topic);
      return filled(map, own, BRANCH_FILLS[i % BRANCH_FILLS.length]!, assignment);
    }),
  );
}
