import type { Assignment, Requirement } from '../map/types.js';

/** Types that look at nothing but how things look, which students cannot change where looks are fixed. */
const LOOKS = new Set(['kind-style', 'link-style', 'fan-style', 'ink-contrast', 'pale-fills', 'text-size']);

/** Whether no student can fail it, whatever they do. */
export const cannotFail = ({ type }: Requirement, { looks, styleMode }: Assignment): boolean =>
  looks === 'fixed' && styleMode === 'guided' && LOOKS.has(type);
