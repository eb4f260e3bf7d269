import { effectiveKind, isStructural } from '../../map/kinds.js';
import { MapIndex } from '../../map-index/map-index.js';
import { standingsOf } from '../../map-index/rewired.js';
import type { Topic } from '../../map/types.js';
import { NEARLY_MESSAGES } from '../nearly.js';
import { ramp, share } from '../fractions.js';
import { requirementType } from '../types.js';
import { kindNames, percent } from '../words.js';

export const starterRewired = requirementType({
  id: 'starter-rewired',
  group: 'content',
  asks: () => 'made',
  asksNothing: ({ minShare }) => minShare === 0,
  staysMet: true,
  params: { minShare: { type: 'number', default: 0.5, least: 0, most: 1 }, kinds: { type: 'kinds' } },
  sentence:
    'At least <b-minShare>{minShare} %</b-minShare> of the given topics' +
    '{kinds, select, undefined {} other { of the kind <b-kinds>{kinds}</b-kinds>}}' +
    ' are tied to something new',
  shown: ({ minShare, kinds }, assignment) => ({ minShare: percent(minShare), kinds: kindNames(assignment, kinds) }),
  messages: {
    noStarter: 'This assignment has no starter map.',
    share: '{count} of {of} have found a place of their own.',
    asGiven: '“{text}” hangs where it was handed out: link it to the idea it belongs to.',
    beside: NEARLY_MESSAGES.beside,
  },
  check: ({ minShare, kinds }, { index, assignment }) => {
    const { starter } = assignment;
    if (!starter) return { doesNotApply: 'noStarter' };
    const before = new MapIndex(starter, assignment, index.pulse, index.words);
    const wanted = starter.topics.filter((topic) => {
      const kind = effectiveKind(topic, assignment);
      return kinds ? kinds.includes(kind?.id ?? '') : isStructural(kind);
    });
    const states = standingsOf(index, before, wanted);
    const others = states.filter(({ rewired }) => !rewired);
    const [count, of] = [states.length - others.length, wanted.length];
    return {
      fraction: ramp(share(count, of), minShare),
      figures: { rewired: count, given: of },
      code: 'share',
      data: { count, of },
      evidence: others.map(({ standing }) => {
        const [{ text }] = standing as [Topic];
        const topics = standing.map(({ id }) => id);
        // What stands beside the structure cannot be tied into it.
        const kind = standing.some((topic) => isStructural(index.kindOf(topic))) ? null : index.kindOf(standing[0]!);
        return kind
          ? { code: 'beside', data: { text, kind: kind.name }, topics }
          : { code: 'asGiven', data: { text }, topics };
      }),
    };
  },
});
