import { ramp } from './fractions.js';
import { requirementType } from './types.js';
import { between, blank, linkKindNames, more, tooMany } from './words.js';

type Params = { linkKinds?: string[]; min?: number; max?: number };

export const linkCount = requirementType<Params>({
  id: 'link-count',
  group: 'content',
  params: {
    linkKinds: { type: 'linkKinds' },
    min: { type: 'number', least: 0, whole: true },
    max: { type: 'number', least: 0, whole: true },
  },
  sentence: ({ linkKinds, min, max }, assignment) => [
    ...between(min, max, 'links'),
    ...(linkKinds ? [' of the kind ', blank('linkKinds', linkKindNames(assignment, linkKinds))] : []),
  ],
  messages: {
    enough: ({ count }) => `${count} drawn.`,
    few: ({ count, min }) => `${count} drawn: ${more(count, min)}.`,
    many: ({ count, max }) => `${count} drawn: ${tooMany(count, max)}.`,
  },
  check: ({ linkKinds, min, max }, { index }) => {
    const links = linkKinds
      ? index.map.links.filter(({ kind }) => kind !== null && linkKinds.includes(kind))
      : index.structuralLinks;
    const count = links.length;
    const message = max !== undefined && count > max ? 'many' : min !== undefined && count < min ? 'few' : 'enough';
    return {
      fraction: ramp(count, min, max),
      figures: { count },
      message,
      data: { count, ...(min !== undefined && { min }), ...(max !== undefined && { max }) },
      evidence: [],
    };
  },
});
