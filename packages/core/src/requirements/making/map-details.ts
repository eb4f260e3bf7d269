import { isBlank } from '../../words/normal-form.js';
import { share } from '../fractions.js';
import { requirementType } from '../types.js';
import { blank, listed } from '../words.js';

const DETAILS = { title: 'title', author: 'author', focusQuestion: 'focus question' } as const;
type Detail = keyof typeof DETAILS;
type Params = { needs?: Detail[] };
const ALL = Object.keys(DETAILS) as Detail[];

export const mapDetails = requirementType<Params>({
  id: 'map-details',
  group: 'making',
  asks: () => 'made',
  params: { needs: { type: 'choices', options: ALL } },
  sentence: ({ needs = ALL }) => ['The title block bears ', blank('needs', listed(needs.map((name) => DETAILS[name])))],
  messages: {
    all: () => 'It is filled in.',
    missing: ({ what }) => `Still empty: ${what}.`,
  },
  check: ({ needs = ALL }, { index: { map } }) => {
    const missing = needs.filter((name) => isBlank(map[name]));
    return {
      fraction: share(needs.length - missing.length, needs.length),
      figures: { filled: needs.length - missing.length, of: needs.length },
      message: missing.length ? 'missing' : 'all',
      data: { what: listed(missing.map((name) => DETAILS[name])) },
      evidence: [],
    };
  },
});
