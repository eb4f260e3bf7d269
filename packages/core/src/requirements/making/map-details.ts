import { isBlank } from '../../words/normal-form.js';
import { share } from '../fractions.js';
import { requirementType } from '../types.js';

const DETAILS = { title: 'title', author: 'author', focusQuestion: 'focus question' } as const;
type Detail = keyof typeof DETAILS;
const ALL = Object.keys(DETAILS) as Detail[];

export const mapDetails = requirementType({
  id: 'map-details',
  group: 'making',
  asks: () => 'made',
  notOfReference: true,
  params: { needs: { type: 'choices', options: ALL } },
  sentence: 'The title block bears <b-needs>{needs}</b-needs>',
  shown: ({ needs = ALL }) => ({ needs: needs.map((code) => ({ code })) }),
  messages: {
    all: 'It is filled in.',
    missing: 'Still empty: {what}.',
    title: 'title',
    author: 'author',
    focusQuestion: 'focus question',
  },
  check: ({ needs = ALL }, { index: { map } }) => {
    const missing = needs.filter((name) => isBlank(map[name]));
    return {
      fraction: share(needs.length - missing.length, needs.length),
      figures: { filled: needs.length - missing.length, of: needs.length },
      code: missing.length ? 'missing' : 'all',
      data: { what: missing.map((code) => ({ code })) },
      evidence: [],
    };
  },
});
