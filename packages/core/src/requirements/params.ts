import type { Requirement } from '../map/types.js';
import type { ParamRule, RequirementType } from './types.js';

export interface Problem {
  path: string;
  reason: string;
}

/** The parameters with the defaults of those left out in place. */
export function withDefaults(type: RequirementType, params: Record<string, unknown>): Record<string, unknown> {
  const defaults = Object.entries(type.params as Record<string, ParamRule>).flatMap(([name, rule]) =>
    'default' in rule && rule.default !== undefined ? [[name, rule.default] as const] : [],
  );
  return { ...Object.fromEntries(defaults), ...params };
}

/**
 * What is wrong with a requirement's parameters: unknown names, wrong types, numbers out of range, missing ones.
 * @param at the JSON path of the requirement's `params`
 */
export function paramProblems(type: RequirementType, { params }: Requirement, at: string): Problem[] {
  const rules = type.params as Record<string, ParamRule>;
  const unknown = Object.keys(params)
    .filter((name) => !(name in rules))
    .map((name) => ({ path: `${at}.${name}`, reason: `“${type.id}” has no such parameter` }));
  const wrong = Object.entries(rules).flatMap(([name, rule]): Problem[] => {
    const value = params[name];
    const reason =
      value === undefined ? ('required' in rule && rule.required ? 'is missing' : null) : wrongValue(rule, value);
    return reason ? [{ path: `${at}.${name}`, reason }] : [];
  });
  return [...unknown, ...wrong];
}

const isText = (value: unknown): boolean => typeof value === 'string' && value.trim() !== '';
const isListOf =
  (one: (value: unknown) => boolean) =>
  (value: unknown): boolean =>
    Array.isArray(value) && value.length > 0 && value.every(one);

function wrongValue(rule: ParamRule, value: unknown): string | null {
  switch (rule.type) {
    case 'number': {
      if (typeof value !== 'number' || !Number.isFinite(value)) return 'must be a number';
      if (rule.whole && !Number.isInteger(value)) return 'must be a whole number';
      if (rule.least !== undefined && value < rule.least) return `must be at least ${rule.least}`;
      return rule.most !== undefined && value > rule.most ? `must be at most ${rule.most}` : null;
    }
    case 'choice':
      return rule.options.includes(value as string) ? null : `must be one of ${rule.options.join(', ')}`;
    case 'choices':
      return isListOf((one) => rule.options.includes(one as string))(value)
        ? null
        : `must be a list of ${rule.options.join(', ')}`;
    case 'boolean':
      return typeof value === 'boolean' ? null : 'must be true or false';
    case 'kind':
    case 'linkKind':
    case 'text':
      return isText(value) ? null : 'must be a text';
    case 'kinds':
    case 'linkKinds':
    case 'texts':
      return isListOf(isText)(value) ? null : 'must be a list of texts';
    case 'pairs':
      return isListOf((pair) => Array.isArray(pair) && pair.length === 2 && pair.every(isText))(value)
        ? null
        : 'must be a list of pairs of kinds';
    case 'propositions':
    case 'answers':
    case 'branchLengths':
      return isListOf((item) => typeof item === 'object' && item !== null)(value) ? null : 'must be a list of objects';
  }
}
