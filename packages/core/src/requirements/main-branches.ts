import { ramp } from './fractions.js';
import { requirementType } from './types.js';
import { between, more, quoted, tooMany } from './words.js';

type Params = { min?: number; max?: number };

export const mainBranches = requirementType<Params>({
  id: 'main-branches',
  group: 'structure',
  params: { min: { type: 'number', least: 0, whole: true }, max: { type: 'number', least: 0, whole: true } },
  sentence: ({ min, max }) => [...between(min, max, 'main branches'), ' leave the starting topic'],
  messages: {
    noRoot: () => 'There is no starting topic for branches to leave from.',
    enough: ({ count }) => `${count} so far.`,
    few: ({ count, min }) => `${count} so far: ${more(count, min)}.`,
    many: ({ count, max }) => `${count}, ${tooMany(count, max)}.`,
    branch: ({ text }) => `${quoted(text)} is one of too many: gather some under a heading.`,
  },
  check: ({ min, max }, { index }) => {
    if (!index.root) return { fraction: 0, message: 'noRoot', evidence: [] };
    const branches = index.mainBranches;
    const count = branches.length;
    const over = max !== undefined && count > max;
    return {
      fraction: ramp(count, min, max),
      figures: { branches: count },
      message: over ? 'many' : min !== undefined && count < min ? 'few' : 'enough',
      data: { count, ...(min !== undefined && { min }), ...(max !== undefined && { max }) },
      evidence: over ? branches.map(({ id, text }) => ({ message: 'branch', data: { text }, topics: [id] })) : [],
    };
  },
});
