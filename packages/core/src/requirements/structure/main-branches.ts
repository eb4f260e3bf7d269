import { RANGE_MESSAGES, RANGE_PARAMS, rangeAsks, rangeVerdict } from '../count-range.js';
import { requirementType } from '../types.js';
import { between, quoted } from '../words.js';

type Params = { min?: number; max?: number };

export const mainBranches = requirementType<Params>({
  id: 'main-branches',
  group: 'structure',
  asks: rangeAsks,
  params: RANGE_PARAMS,
  sentence: ({ min, max }) => [...between(min, max, 'main branches'), ' leave the starting topic'],
  messages: {
    ...RANGE_MESSAGES,
    noRoot: () => 'There is no starting topic for branches to leave from.',
    branch: ({ text }) => `${quoted(text)} is one of too many: gather some under a heading.`,
  },
  check: (range, { index }) => {
    if (!index.root) return { fraction: 0, message: 'noRoot', evidence: [] };
    const over = index.mainBranches.map(({ id, text }) => ({ message: 'branch', data: { text }, topics: [id] }));
    return rangeVerdict(over.length, range, over);
  },
});
