import { moveClear } from '../commands/arrange.js';
import { isFixed, setLooks } from '../commands/looks.js';
import { colourBranches, fillSaysKind } from '../commands/recolour.js';
import { uncross } from '../commands/uncross.js';
import { applyChanges, done } from '../map/changes.js';
import type { Change, Outcome } from '../map/changes.js';
import { linkStyle } from '../map/style.js';
import type { Assignment, TopicMap } from '../map/types.js';
import type { Result } from '../requirements/types.js';
import { pullApart } from '../tidy/pull-apart.js';

/** What can be done for a student without giving anything away: looks and places alone. ICU messages in English. */
export const SAFE_HELP = {
  moveClear: 'Move {count, plural, one {it} other {these {count}}} clear',
  oneColour: 'Make these {count} links one colour',
  pullApart: 'Pull lines and words apart',
  uncross: 'Make the one move that takes most crossings away',
  paler: 'Make {count, plural, one {it} other {these {count}}} paler',
  larger: 'Write {count, plural, one {it} other {these {count}}} larger',
  darkInk: 'Write {count, plural, one {it} other {these {count}}} in dark ink',
  branches: 'Give each branch a fill of its own',
} as const;

export interface SafeHelp {
  code: keyof typeof SAFE_HELP;
  data: { count: number };
  /** worked out when it is asked for */
  outcome: () => Outcome;
}

const PALE = '#f1efe6';
const INK = '#1a1a1a';
/** A colour for the links of a busy topic, each time another, all dark on paper. */
const FAN_COLOURS = ['#35596a', '#9a5138', '#5a4b86', '#35645b', '#7a6c3a', '#7a2e5d'];

/** What may be offered for a result that is not met; null where it would take a thought from whoever should think it. */
export function safeHelp(
  { type, status, evidence }: Pick<Result, 'type' | 'status' | 'evidence'>,
  map: TopicMap,
  assignment: Assignment,
): SafeHelp | null {
  if (status === 'met' || status === 'judge' || status === 'not-applicable') return null;
  const topics = [...new Set(evidence.flatMap((one) => one.topics))];
  const help = (code: SafeHelp['code'], count: number, outcome: () => Outcome): SafeHelp | null =>
    count > 0 ? { code, data: { count }, outcome } : null;
  const looks = (code: SafeHelp['code'], fields: object): SafeHelp | null =>
    help(code, topics.length, () => setLooks(map, topics, fields, assignment));
  switch (type) {
    case 'no-overlaps':
      return help('moveClear', topics.length, () => clearOneByOne(map, topics));
    case 'fan-style': {
      const [fan] = evidence.filter(({ links }) => links.length > 0);
      return help('oneColour', fan?.links.length ?? 0, () => oneColour(map, fan!.links, assignment));
    }
    case 'few-crossings':
      return help('uncross', 1, () => uncross(map, assignment.legend));
    case 'clear-phrases':
    case 'clear-text':
      return help('pullApart', 1, () => done(...pullApart(map, [], assignment.legend, isFixed(assignment))));
    case 'pale-fills':
      // What kind it is would be another then, which is for its author to say.
      return fillSaysKind(assignment) ? null : looks('paler', { fill: PALE });
    case 'text-size':
      return looks('larger', { fontSize: 14 });
    case 'ink-contrast':
      return looks('darkInk', { ink: INK });
    case 'branch-colours':
      return help('branches', 1, () => colourBranches(map, assignment));
    default:
      return null;
  }
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

/** One colour that none of the other links has, and a weight that can be followed through a crowd. */
function oneColour(map: TopicMap, ids: readonly string[], assignment: Assignment): Outcome {
  const others = new Set(
    map.links.filter(({ id }) => !ids.includes(id)).map((link) => linkStyle(link, assignment.legend).colour),
  );
  const colour = FAN_COLOURS.find((one) => !others.has(one)) ?? FAN_COLOURS[0]!;
  return setLooks(map, ids, { colour, width: 2.5 }, assignment);
}
