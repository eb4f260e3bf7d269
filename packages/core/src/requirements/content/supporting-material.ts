import type { Topic } from '../../map/types.js';
import { isBlank } from '../../words/normal-form.js';
import { ramp, share } from '../fractions.js';
import { nearly } from '../nearly.js';
import { requirementType } from '../types.js';
import type { Finding } from '../types.js';
import { kindNames, percent } from '../words.js';

const KINDS_OF = ['any', 'picture', 'weblink', 'note', 'file', 'source'] as const;
type What = (typeof KINDS_OF)[number];

const BEARS: Record<Exclude<What, 'any'>, (topic: Topic) => boolean> = {
  picture: ({ pictures }) => (pictures ?? []).some(({ src }) => !isBlank(src)),
  weblink: ({ weblinks }) => (weblinks ?? []).some(({ url }) => !isBlank(url)),
  note: ({ note }) => !isBlank(note),
  file: ({ files }) => (files ?? []).some(({ src }) => !isBlank(src)),
  source: ({ source }) => !isBlank(source),
};
/** Whether there is a place for it, whatever stands there. */
const PLACES: typeof BEARS = {
  picture: ({ pictures = [] }) => pictures.length > 0,
  weblink: ({ weblinks = [] }) => weblinks.length > 0,
  note: ({ note }) => note !== undefined,
  file: ({ files = [] }) => files.length > 0,
  source: ({ source }) => source !== undefined,
};
const bears = (topic: Topic, what: What): boolean =>
  what === 'any' ? Object.values(BEARS).some((test) => test(topic)) : BEARS[what](topic);

/** Topics with material that does not count: an empty place for it, or another sort. */
const nearlyBearing = (without: readonly Topic[], what: What): Finding[] =>
  nearly(
    without.flatMap((topic): Finding[] => {
      const hasPlace = what === 'any' ? Object.values(PLACES).some((at) => at(topic)) : PLACES[what](topic);
      const code = hasPlace ? 'hollow' : bears(topic, 'any') ? 'other' : null;
      return code ? [{ code, data: { text: topic.text, what }, topics: [topic.id] }] : [];
    }),
  );

const MATERIAL =
  '{what, select, picture {a picture} weblink {a web address} note {a note} file {a file} source {a source} other {a picture, web address, note, file or source}}';

export const supportingMaterial = requirementType({
  id: 'supporting-material',
  group: 'content',
  asks: () => 'made',
  asksNothing: ({ min, minShare }) => (minShare ?? min) === 0,
  staysMet: true,
  params: {
    what: { type: 'choice', options: KINDS_OF, default: 'any' },
    min: { type: 'number', default: 1, least: 0, whole: true },
    minShare: { type: 'number', least: 0, most: 1 },
    kinds: { type: 'kinds' },
  },
  sentence:
    'At least {minShare, select, undefined {<b-min>{min}</b-min> {min, plural, one {topic} other {topics}}} other {<b-minShare>{minShare} %</b-minShare> of the topics}}' +
    '{kinds, select, undefined {} other { of the kind <b-kinds>{kinds}</b-kinds>}}' +
    '{minShare, select, undefined {{min, plural, one { bears } other { bear }}} other { bear }}' +
    `<b-what>${MATERIAL}</b-what>`,
  shown: ({ minShare, kinds }, assignment) => ({
    minShare: minShare === undefined ? undefined : percent(minShare),
    kinds: kindNames(assignment, kinds),
  }),
  messages: {
    found: '{count} so far: {needed} asked for.',
    share: '{count} of {of} so far.',
    without: `Add ${MATERIAL} to “{text}”.`,
    hollow: '“{text}” has a place for it that is still empty.',
    other: `“{text}” bears something else, not ${MATERIAL}.`,
  },
  check: ({ what, min, minShare, kinds }, { index }) => {
    const topics = index.topicsOf(kinds);
    const without = topics.filter((topic) => !bears(topic, what));
    const [count, of] = [topics.length - without.length, topics.length];
    return {
      fraction: minShare === undefined ? ramp(count, min) : ramp(share(count, of), minShare),
      figures: { count, topics: of },
      code: minShare === undefined ? 'found' : 'share',
      data: { count, of, needed: min },
      evidence:
        minShare === undefined
          ? count < min
            ? nearlyBearing(without, what)
            : []
          : without.map(({ id, text }) => ({ code: 'without', data: { text, what }, topics: [id] })),
    };
  },
});
