import same from 'fast-deep-equal';
import { emptySheet } from '../sheet/empty-sheet.js';
import type { Sheet } from '../sheet/sheet.js';

/** The parts of a sheet that a class keeps, and from which its assignments begin. */
export const RULE_PARTS = ['legend', 'requirements', 'criteria'] as const;
export type StandingRules = Pick<Sheet, (typeof RULE_PARTS)[number]>;

export const rulesOf = ({ legend, requirements, criteria }: StandingRules): StandingRules => ({
  legend,
  requirements,
  criteria,
});

/** A sheet that begins with a class's rules. */
export const sheetFrom = (rules: StandingRules, language?: string): Sheet => ({
  ...emptySheet(language),
  ...rulesOf(rules),
});

/** What of the rules is spoken of; `id` is an item's in its list, absent for what the legend says of all kinds. */
export interface RuleChange {
  of: 'topic kind' | 'link kind' | 'legend' | 'requirement' | 'criterion';
  id?: string;
  /** how an amended rule reaches an assignment; `kept`: it was made otherwise there by hand, and stays */
  does: 'added' | 'changed' | 'removed' | 'kept';
}

export interface Followed {
  rules: StandingRules;
  /** in the rules' order, the legend first */
  changes: RuleChange[];
}

/**
 * Amended rules taken over by a sheet that began with earlier ones: a three-way merge, item by item. What reads as the
 * earlier rules had it follows the amended ones; what was made otherwise by hand stays, and so does what is the sheet's own.
 */
export function followRules(sheet: StandingRules, before: StandingRules, after: StandingRules): Followed {
  const changes: RuleChange[] = [];
  const lists = <T extends { id: string }>(of: RuleChange['of'], [mine, old, next]: Versions<T>): T[] => {
    const merged = mergedList(mine, old, next);
    changes.push(...merged.changes.map((change): RuleChange => ({ of, ...change })));
    return merged.items;
  };
  const legend = mergedLegend(sheet.legend, before.legend, after.legend, changes);
  const each = [sheet, before, after];
  const rules = {
    legend: {
      ...legend,
      legend: {
        ...legend.legend,
        topicKinds: lists(
          'topic kind',
          versions(each, ({ legend: { legend: one } }) => one.topicKinds),
        ),
        linkKinds: lists(
          'link kind',
          versions(each, ({ legend: { legend: one } }) => one.linkKinds),
        ),
      },
    },
    requirements: {
      requirements: lists(
        'requirement',
        versions(each, (one) => one.requirements.requirements),
      ),
    },
    criteria: {
      criteria: lists(
        'criterion',
        versions(each, (one) => one.criteria.criteria),
      ),
    },
  };
  return { rules, changes };
}

type Versions<T> = readonly [mine: readonly T[], old: readonly T[], next: readonly T[]];
const versions = <T>(of: readonly StandingRules[], read: (rules: StandingRules) => readonly T[]): Versions<T> =>
  of.map(read) as unknown as Versions<T>;

type ItemChange = Pick<RuleChange, 'id' | 'does'>;

/** The sheet's own order stays; what the amended rules add stands at the end. */
function mergedList<T extends { id: string }>(
  ...[mine, old, next]: Versions<T>
): { items: T[]; changes: ItemChange[] } {
  const changes: ItemChange[] = [];
  const say = (id: string, does: RuleChange['does']): void => void changes.push({ id, does });
  const [own, was, now] = [byId(mine), byId(old), byId(next)];
  const items = mine.flatMap((item): T[] => {
    const { id } = item;
    const [before, amended] = [was.get(id), now.get(id)];
    if (same(before, amended) || same(item, amended)) return [item];
    if (!same(item, before)) {
      say(id, 'kept');
      return [item];
    }
    say(id, amended ? 'changed' : 'removed');
    return amended ? [amended] : [];
  });
  for (const item of next) {
    const { id } = item;
    const before = was.get(id);
    if (own.has(id) || same(before, item)) continue;
    // Taken out by hand here, and amended since.
    say(id, before ? 'kept' : 'added');
    if (!before) items.push(item);
  }
  return { items, changes };
}

const byId = <T extends { id: string }>(items: readonly T[]): Map<string, T> =>
  new Map(items.map((item) => [item.id, item]));

type LegendPart = StandingRules['legend'];

/** What the legend says beside its kinds: whether it is guided, whether looks are open, what is the root. */
function mergedLegend(mine: LegendPart, old: LegendPart, next: LegendPart, changes: RuleChange[]): LegendPart {
  const said = ({ legend, ...part }: LegendPart) => ({ ...part, readBy: legend.readBy });
  if (same(said(old), said(next)) || same(said(mine), said(next))) return mine;
  const follows = same(said(mine), said(old));
  changes.push({ of: 'legend', does: follows ? 'changed' : 'kept' });
  return follows ? next : mine;
}
