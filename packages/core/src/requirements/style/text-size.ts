import { CLOSE } from '../../map/kinds.js';
import { topicStyle } from '../../map/style.js';
import { allBut } from '../all-but.js';
import { requirementType } from '../types.js';
import { blank, ofThem, quoted } from '../words.js';

type Params = { min: number };

export const textSize = requirementType<Params>({
  id: 'text-size',
  group: 'style',
  asks: () => 'kept',
  params: { min: { type: 'number', default: 12, least: 1, most: 200 } },
  sentence: ({ min }) => ['Words are at least ', blank('min', min), ' px high'],
  messages: {
    share: ({ count, of }) => ofThem(count, of, 'large enough'),
    small: ({ text, size, min }) => `${quoted(text)} is written in ${size}: make it ${min} or more.`,
  },
  check: ({ min }, { index, assignment: { legend } }) => {
    const sizes = index.map.topics.map((topic) => ({ topic, size: topicStyle(topic, legend).fontSize }));
    const small = sizes.filter(({ size }) => size < min - CLOSE);
    return allBut(
      small.map(({ topic, size }) => ({
        message: 'small',
        data: { text: topic.text, size, min },
        topics: [topic.id],
      })),
      sizes.length,
      'topics',
    );
  },
});
