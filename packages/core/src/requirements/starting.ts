import type { Assignment, Level, Requirement } from '../map/types.js';
import { requirementTypeOf } from './registry.js';
import type { ParamRule } from './types.js';

type Legend = Assignment['legend'];

/** What a blank holds when a requirement is taken up: nothing where it may stay empty, else the legend's first fit. */
function startOf(rule: ParamRule, { topicKinds, linkKinds }: Legend): unknown {
  if (!('required' in rule) || !rule.required) return undefined;
  const kind = (topicKinds.find(({ root, structural }) => !root && structural !== false) ?? topicKinds[0])?.id ?? '';
  switch (rule.type) {
    case 'number':
      return Math.max(rule.least ?? 1, 1);
    case 'kind':
      return kind;
    case 'kinds':
      return [kind];
    case 'linkKind':
      return linkKinds[0]?.id ?? '';
    case 'linkKinds':
      return linkKinds.slice(0, 1).map(({ id }) => id);
    case 'pairs':
      return [[kind, kind]];
    case 'text':
      return '';
    default:
      return [];
  }
}

/**
 * A requirement of a type, as a sheet takes it up: what may be left out is left out, what must be there has the legend's
 * first kinds. A list of answers begins empty, and the sheet says so until it is filled.
 */
export function startingRequirement(
  type: string,
  { legend }: Pick<Assignment, 'legend'>,
  { id, level = 'must', points = 2 }: { id: string; level?: Level; points?: number },
): Requirement {
  const rules = Object.entries((requirementTypeOf(type)?.params ?? {}) as Record<string, ParamRule>);
  const params = Object.fromEntries(
    rules.flatMap(([name, rule]) => {
      const value = startOf(rule, legend);
      return value === undefined ? [] : [[name, value] as const];
    }),
  );
  return { id, type, params, level, points };
}
