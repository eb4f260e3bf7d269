import type { Assignment, Requirement } from '../map/types.js';
import type { RequirementId } from '../requirements/registry.js';
import { requirementTypeOf } from '../requirements/registry.js';
import { dressed, dressedGiven, dressedParams, rolesIn } from './dressed.js';
import { checkedExample, checkedPair } from './example-views.js';
import type { CheckedExample } from './example-views.js';
import { EXAMPLES } from './examples.js';

/**
 * The right and the wrong small map of a requirement's type, drawn in the assignment's own legend, with the kinds that the
 * requirement names. Each is checked; where that legend cannot show the difference, the examples' own does.
 */
export function exampleInLegend(requirement: Requirement, assignment: Assignment): CheckedExample | null {
  const type = requirement.type as RequirementId;
  if (!requirementTypeOf(type)) return null;
  const own = inOwnLegend(type, requirement, assignment);
  return own && own.met.result.status === 'met' && (own.unmet.result.fraction ?? 1) < 1 ? own : checkedExample(type);
}

function inOwnLegend(
  type: RequirementId,
  { params: asked }: Requirement,
  assignment: Assignment,
): CheckedExample | null {
  const { given = {}, params = {}, context, unmetContext = context, met, unmet } = EXAMPLES[type];
  const { legend, styleMode } = assignment;
  const roles = rolesIn(legend, preferredBy(params, asked));
  const dress = {
    params: dressedParams(params, roles),
    given: dressedGiven(given, roles, legend),
    met: dressed(met, roles, legend),
    unmet: dressed(unmet, roles, legend),
  };
  if (!dress.params || !dress.given || !dress.met || !dress.unmet) return null;
  const requirement: Requirement = { id: type, type, params: dress.params, level: 'must', points: 1 };
  const whole: Assignment = {
    ...assignment,
    styleMode,
    terms: [],
    starter: null,
    reference: null,
    root: 'Bridge',
    ...dress.given,
    requirements: [requirement],
  };
  return checkedPair(whole, requirement, { map: dress.met, context }, { map: dress.unmet, context: unmetContext });
}

/** The kind that an example's parameter names is played by the one that the requirement's names. */
function preferredBy(params: Record<string, unknown>, asked: Record<string, unknown>): Record<string, string> {
  const names = (value: unknown): string[] =>
    typeof value === 'string' ? [value] : Array.isArray(value) ? value.flatMap(names) : [];
  return Object.fromEntries(
    Object.entries(params).flatMap(([name, value]) =>
      names(value).flatMap((part, i): [string, string][] => {
        const wanted = names(asked[name])[i];
        return wanted === undefined ? [] : [[part, wanted]];
      }),
    ),
  );
}
