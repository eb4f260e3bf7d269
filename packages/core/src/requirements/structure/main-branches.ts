import { RANGE_MESSAGES, RANGE_PARAMS, rangeAsks, rangeVerdict, rangeAsksNothing } from '../count-range.js';
import { NEARLY_MESSAGES, uncountedLinks, withNearly } from '../nearly.js';
import { requirementType } from '../types.js';
import { between } from '../words.js';

export const mainBranches = requirementType({
  id: 'main-branches',
  group: 'structure',
  asks: rangeAsks,
  asksNothing: rangeAsksNothing,
  needsRoot: true,
  staysMet: true,
  params: RANGE_PARAMS,
  sentence: `${between('main branches', { verb: ['leaves', 'leave'] })} the starting topic`,
  messages: {
    ...RANGE_MESSAGES,
    noRoot: 'There is no starting topic for branches to leave from.',
    branch: '“{text}” is one of too many: gather some under a heading.',
    besideLink: NEARLY_MESSAGES.besideLink,
  },
  check: (range, { index }) => {
    const { root } = index;
    if (!root) return { fraction: 0, code: 'noRoot', evidence: [] };
    const over = index.mainBranches.map(({ id, text }) => ({ code: 'branch', data: { text }, topics: [id] }));
    return withNearly(rangeVerdict(over.length, range, over), () =>
      uncountedLinks(index, undefined, ({ from, to }) => from === root.id || to === root.id),
    );
  },
});
