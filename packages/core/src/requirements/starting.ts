import type { Assignment, Level, Requirement } from '../map/types.js';
import { withDefaults } from './params.js';
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

/** What is asked at first where a sentence without a figure would ask for nothing. */
const SOME = 3;

/**
 * A requirement of a type, as a sheet takes it up: what may be left out is left out, unless it would ask for nothing
 * then; what must be there has the legend's first kinds. A list of answers begins empty, and the sheet says so until it is
 * filled.
 */
export function startingRequirement(
  type: string,
  assignment: Assignment,
  { id, level = 'must', points = 2 }: { id: string; level?: Level; points?: number },
): Requirement {
  const known = requirementTypeOf(type);
  const rules = Object.entries((known?.params ?? {}) as Record<string, ParamRule>);
  const params = Object.fromEntries(
    rules.flatMap(([name, rule]) => {
      const value = startOf(rule, assignment.legend);
      return value === undefined ? [] : [[name, value] as const];
    }),
  );
  const asksNothing = known?.asksNothing?.(withDefaults(known, params), assignment) ?? false;
  return {
    id,
    type,
    params: asksNothing && known && 'min' in known.params ? { ...params, min: SOME } : params,
    level,
    points,
  };
}
