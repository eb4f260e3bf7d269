import type { Topic } from '../../map/types.js';
import { CLOSE } from '../../map/kinds.js';
import type { MapIndex } from '../../map-index/map-index.js';
import { allBut } from '../all-but.js';
import { requirementType } from '../types.js';
import type { Finding } from '../types.js';
import { between, blank, kindNames, ofThem, plural, quoted } from '../words.js';

type Direction = 'either' | 'in' | 'out';
type Params = { kinds?: string[]; min: number; max?: number; direction: Direction };

/** The distinct topics that structural links join to one, the given way. */
export function neighboursOf({ id }: Topic, index: MapIndex, direction: Direction): ReadonlySet<string> {
  if (direction === 'either') return index.neighbours.get(id) ?? new Set();
  const links = (direction === 'in' ? index.inLinks : index.outLinks).get(id) ?? [];
  return new Set(links.map(({ from, to }) => (from === id ? to : from)));
}

const WAYS: Record<Direction, string> = { either: 'tied to', in: 'pointed at by', out: 'pointing at' };

export const linksPerTopic = requirementType<Params>({
  id: 'links-per-topic',
  group: 'structure',
  asks: ({ min }) => (min > 0 ? 'made' : 'kept'),
  params: {
    kinds: { type: 'kinds' },
    min: { type: 'number', default: 1, least: 0, whole: true },
    max: { type: 'number', least: 0, whole: true },
    direction: { type: 'choice', options: ['either', 'in', 'out'], default: 'either' },
  },
  sentence: ({ kinds, min, max, direction }, assignment) => {
    const [first, ...rest] = between(min, max, 'others');
    return [
      'Every ',
      kinds ? blank('kinds', kindNames(assignment, kinds)) : 'topic',
      ' is ',
      blank('direction', WAYS[direction]),
      ' ',
      typeof first === 'string' ? first.toLowerCase() : '',
      ...rest,
    ];
  },
  messages: {
    share: ({ count, of }) => ofThem(count, of, 'tied as asked'),
    few: ({ text, count, min }) =>
      `${quoted(text)} has ${plural(Number(count), 'such tie')}: add ${Number(min) - Number(count)} more.`,
    many: ({ text, count, max }) =>
      `${quoted(text)} has ${plural(Number(count), 'such tie')}: ${Number(count) - Number(max)} too many.`,
  },
  check: ({ kinds, min, max, direction }, { index }) => {
    const topics = index.topicsOf(kinds);
    const evidence = topics.flatMap((topic): Finding[] => {
      const count = neighboursOf(topic, index, direction).size;
      const data = { text: topic.text, count, min };
      if (count < min - CLOSE) return [{ message: 'few', data, topics: [topic.id] }];
      return max !== undefined && count > max + CLOSE
        ? [{ message: 'many', data: { ...data, max }, topics: [topic.id] }]
        : [];
    });
    return allBut(evidence, topics.length, 'topics');
  },
});
