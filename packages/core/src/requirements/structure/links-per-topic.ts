import { rangeAsksNothing } from '../count-range.js';
import type { Topic } from '../../map/types.js';
import { CLOSE } from '../../map/kinds.js';
import type { MapIndex } from '../../map-index/map-index.js';
import { allBut } from '../all-but.js';
import { NEARLY_MESSAGES, uncountedLinks, withNearly } from '../nearly.js';
import { requirementType } from '../types.js';
import type { Finding } from '../types.js';
import { kindNames, ofThem, between } from '../words.js';

type Direction = 'either' | 'in' | 'out';

/** The distinct topics that structural links join to one, the given way. */
export function neighboursOf({ id }: Topic, index: MapIndex, direction: Direction): ReadonlySet<string> {
  if (direction === 'either') return index.neighbours.get(id) ?? new Set();
  const links = (direction === 'in' ? index.inLinks : index.outLinks).get(id) ?? [];
  return new Set(links.map(({ from, to }) => (from === id ? to : from)));
}

/** Topics that are joined to one, but not the way that counts. */
export const otherWayRound = (topic: Topic, index: MapIndex, direction: Direction): Finding[] => {
  const counted = neighboursOf(topic, index, direction);
  return [...neighboursOf(topic, index, 'either')]
    .filter((id) => !counted.has(id))
    .map((id) => ({
      code: 'otherWay',
      data: { text: topic.text, other: index.topicById.get(id)!.text },
      topics: [topic.id, id],
    }));
};

export const linksPerTopic = requirementType({
  id: 'links-per-topic',
  group: 'structure',
  asks: ({ min }) => (min > 0 ? 'made' : 'kept'),
  asksNothing: rangeAsksNothing,
  params: {
    kinds: { type: 'kinds' },
    min: { type: 'number', default: 1, least: 0, whole: true },
    max: { type: 'number', least: 0, whole: true },
    direction: { type: 'choice', options: ['either', 'in', 'out'], default: 'either' },
  },
  sentence: `Every {kinds, select, undefined {topic} other {<b-kinds>{kinds}</b-kinds>}} is <b-direction>{direction, select, in {pointed at by} out {pointing at} other {tied to}}</b-direction> ${between('others', { within: true })}`,
  shown: ({ kinds }, assignment) => ({ kinds: kindNames(assignment, kinds)?.anyOf }),
  messages: {
    share: ofThem('tied as asked'),
    few: '“{text}” has {count, plural, one {1 such tie} other {{count} such ties}}: add {missing} more.',
    many: '“{text}” has {count, plural, one {1 such tie} other {{count} such ties}}: {over} too many.',
    otherWay: '“{text}” and “{other}” are joined, and the arrow does not lead the way that counts.',
    besideLink: NEARLY_MESSAGES.besideLink,
  },
  check: ({ kinds, min, max, direction }, { index }) => {
    const topics = index.topicsOf(kinds);
    const evidence = topics.flatMap((topic): Finding[] => {
      const count = neighboursOf(topic, index, direction).size;
      const data = { text: topic.text, count };
      if (count < min - CLOSE) return [{ code: 'few', data: { ...data, missing: min - count }, topics: [topic.id] }];
      return max !== undefined && count > max + CLOSE
        ? [{ code: 'many', data: { ...data, over: count - max }, topics: [topic.id] }]
        : [];
    });
    return withNearly(allBut(evidence, topics.length, 'topics'), () => {
      const few = topics.filter((topic) => neighboursOf(topic, index, direction).size < min - CLOSE);
      const ids = new Set(few.map(({ id }) => id));
      return [
        ...few.flatMap((topic) => otherWayRound(topic, index, direction)),
        ...uncountedLinks(index, undefined, ({ from, to }) => ids.has(from) || ids.has(to)),
      ];
    });
  },
});
