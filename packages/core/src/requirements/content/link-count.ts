import { RANGE_MESSAGES, RANGE_PARAMS, rangeAsks, rangeVerdict } from '../count-range.js';
import { requirementType } from '../types.js';
import { between, blank, linkKindNames } from '../words.js';

type Params = { linkKinds?: string[]; min?: number; max?: number };

export const linkCount = requirementType<Params>({
  id: 'link-count',
  group: 'content',
  asks: rangeAsks,
  params: { linkKinds: { type: 'linkKinds' }, ...RANGE_PARAMS },
  sentence: ({ linkKinds, min, max }, assignment) => [
    ...between(min, max, 'links'),
    ...(linkKinds ? [' of the kind ', blank('linkKinds', linkKindNames(assignment, linkKinds))] : []),
  ],
  messages: RANGE_MESSAGES,
  check: ({ linkKinds, ...range }, { index }) => {
    const ofKinds = index.map.links.filter(({ kind }) => kind !== null && linkKinds?.includes(kind));
    return rangeVerdict((linkKinds ? ofKinds : index.structuralLinks).length, range);
  },
});
