import { RANGE_MESSAGES, RANGE_PARAMS, rangeAsks, rangeVerdict, rangeAsksNothing } from '../count-range.js';
import { NEARLY_MESSAGES, uncountedLinks, withNearly } from '../nearly.js';
import { requirementType } from '../types.js';
import { linkKindNames, between } from '../words.js';

export const linkCount = requirementType({
  id: 'link-count',
  group: 'content',
  asks: rangeAsks,
  asksNothing: rangeAsksNothing,
  staysMet: true,
  params: { linkKinds: { type: 'linkKinds' }, ...RANGE_PARAMS },
  sentence: `${between('links')}{linkKinds, select, undefined {} other { of the kind <b-linkKinds>{linkKinds}</b-linkKinds>}}`,
  shown: ({ linkKinds }, assignment) => ({ linkKinds: linkKindNames(assignment, linkKinds) }),
  messages: {
    ...RANGE_MESSAGES,
    kindlessLink: NEARLY_MESSAGES.kindlessLink,
    besideLink: NEARLY_MESSAGES.besideLink,
  },
  check: ({ linkKinds, ...range }, { index }) => {
    const ofKinds = index.map.links.filter(({ kind }) => kind !== null && linkKinds?.includes(kind));
    const { length } = linkKinds ? ofKinds : index.structuralLinks;
    return withNearly(rangeVerdict(length, range), () => uncountedLinks(index, linkKinds));
  },
});
