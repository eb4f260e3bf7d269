import type { Topic } from '../../map/types.js';
import { isBlank } from '../../words/normal-form.js';
import { ramp, share } from '../fractions.js';
import { requirementType } from '../types.js';
import { blank, kindNames, percent, quoted } from '../words.js';

const KINDS_OF = ['any', 'picture', 'weblink', 'note', 'file', 'source'] as const;
type What = (typeof KINDS_OF)[number];
type Params = { what: What; min: number; minShare?: number; kinds?: string[] };

const BEARS: Record<Exclude<What, 'any'>, (topic: Topic) => boolean> = {
  picture: ({ pictures }) => (pictures ?? []).some(({ src }) => !isBlank(src)),
  weblink: ({ weblinks }) => (weblinks ?? []).some(({ url }) => !isBlank(url)),
  note: ({ note }) => !isBlank(note),
  file: ({ files }) => (files ?? []).some(({ src }) => !isBlank(src)),
  source: ({ source }) => !isBlank(source),
};
const bears = (topic: Topic, what: What): boolean =>
  what === 'any' ? Object.values(BEARS).some((test) => test(topic)) : BEARS[what](topic);

const NAMES: Record<What, string> = {
  any: 'a picture, web address, note, file or source',
  picture: 'a picture',
  weblink: 'a web address',
  note: 'a note',
  file: 'a file',
  source: 'a source',
};

export const supportingMaterial = requirementType<Params>({
  id: 'supporting-material',
  group: 'content',
  asks: () => 'made',
  params: {
    what: { type: 'choice', options: KINDS_OF, default: 'any' },
    min: { type: 'number', default: 1, least: 0, whole: true },
    minShare: { type: 'number', least: 0, most: 1 },
    kinds: { type: 'kinds' },
  },
  sentence: ({ what, min, minShare, kinds }, assignment) => [
    'At least ',
    minShare === undefined ? blank('min', min) : blank('minShare', percent(minShare)),
    minShare === undefined ? (min === 1 ? ' topic' : ' topics') : ' of the topics',
    ...(kinds ? [' of the kind ', blank('kinds', kindNames(assignment, kinds))] : []),
    minShare === undefined && min === 1 ? ' bears ' : ' bear ',
    blank('what', NAMES[what]),
  ],
  messages: {
    found: ({ count, of }) => `${count} of ${of} so far.`,
    without: ({ text, what }) => `Add ${what} to ${quoted(text)}.`,
  },
  check: ({ what, min, minShare, kinds }, { index }) => {
    const topics = index.topicsOf(kinds);
    const without = topics.filter((topic) => !bears(topic, what));
    const [count, of] = [topics.length - without.length, topics.length];
    return {
      fraction: minShare === undefined ? ramp(count, min) : ramp(share(count, of), minShare),
      figures: { count, topics: of },
      message: 'found',
      data: { count, of },
      evidence:
        minShare === undefined
          ? []
          : without.map(({ id, text }) => ({ message: 'without', data: { text, what: NAMES[what] }, topics: [id] })),
    };
  },
});
