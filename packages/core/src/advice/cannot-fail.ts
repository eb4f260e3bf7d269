import type { Assignment, Requirement } from '../map/types.js';
import { requirementTypeOf } from '../requirements/registry.js';

/** Whether no student can fail it, whatever they do: looks are fixed, and it looks at nothing else. */
export const cannotFail = ({ type }: Requirement, { looks, styleMode }: Assignment): boolean =>
  looks === 'fixed' && styleMode === 'guided' && requirementTypeOf(type)?.looksOnly === true;
