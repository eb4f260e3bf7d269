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
export const paramProblems = (type: RequirementType, { params }: Requirement, at: string): Problem[] =>
  fieldProblems(type.params, params, at, `“${type.id}” has no such parameter`);

type Rules = Readonly<Record<string, ParamRule>>;

function fieldProblems(rules: Rules, fields: Record<string, unknown>, at: string, whyUnknown: string): Problem[] {
  const unknown = Object.keys(fields)
    .filter((name) => !Object.hasOwn(rules, name))
    .map((name) => ({ path: `${at}.${name}`, reason: whyUnknown }));
  const wrong = Object.entries(rules).flatMap(([name, rule]): Problem[] => {
    const path = `${at}.${name}`;
    const value = fields[name];
    if (value === undefined) return 'required' in rule && rule.required ? [{ path, reason: 'is missing' }] : [];
    return valueProblems(rule, value, path);
  });
  return [...unknown, ...wrong];
}

const isText = (value: unknown): boolean => typeof value === 'string' && value.trim() !== '';
const isFields = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** The problems of a list and of its members, each at its own place. */
function listProblems(
  value: unknown,
  path: string,
  { what, mayBeEmpty = false }: { what: string; mayBeEmpty?: boolean },
  ofMember: (member: unknown, at: string) => Problem[],
): Problem[] {
  if (!Array.isArray(value)) return [{ path, reason: `must be a list of ${what}` }];
  if (value.length === 0 && !mayBeEmpty) return [{ path, reason: `must hold at least one of ${what}` }];
  return value.flatMap((member, i) => ofMember(member, `${path}[${i}]`));
}

function valueProblems(rule: ParamRule, value: unknown, path: string): Problem[] {
  const insist = (holds: boolean, reason: string): Problem[] => (holds ? [] : [{ path, reason }]);
  switch (rule.type) {
    case 'number': {
      if (typeof value !== 'number' || !Number.isFinite(value)) return insist(false, 'must be a number');
      if (rule.whole && !Number.isInteger(value)) return insist(false, 'must be a whole number');
      if (rule.least !== undefined && value < rule.least) return insist(false, `must be at least ${rule.least}`);
      return insist(rule.most === undefined || value <= rule.most, `must be at most ${rule.most}`);
    }
    case 'choice':
      return insist(rule.options.includes(value as string), `must be one of ${rule.options.join(', ')}`);
    case 'choices':
      return listProblems(value, path, { what: rule.options.join(', ') }, (one, at) =>
        valueProblems({ type: 'choice', options: rule.options }, one, at),
      );
    case 'boolean':
      return insist(typeof value === 'boolean', 'must be true or false');
    case 'kind':
    case 'linkKind':
    case 'text':
      return insist(isText(value), 'must be a text that is not blank');
    case 'kinds':
    case 'linkKinds':
    case 'texts':
      return listProblems(
        value,
        path,
        { what: 'texts', mayBeEmpty: rule.type === 'texts' && rule.mayBeEmpty === true },
        (one, at) => valueProblems({ type: 'text' }, one, at),
      );
    case 'pairs':
      return listProblems(value, path, { what: 'pairs of kinds' }, (pair, at) =>
        Array.isArray(pair) && pair.length === 2 && pair.every(isText)
          ? []
          : [{ path: at, reason: 'must be two kinds: from and to' }],
      );
    case 'list':
      return listProblems(value, path, { what: Object.keys(rule.of).join(', ') }, (one, at) =>
        isFields(one)
          ? fieldProblems(rule.of, one, at, `must be one of ${Object.keys(rule.of).join(', ')}`)
          : [{ path: at, reason: `must have ${Object.keys(rule.of).join(', ')}` }],
      );
  }
}
