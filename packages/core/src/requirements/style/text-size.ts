import { CLOSE } from '../../map/kinds.js';
import { topicStyle } from '../../map/style.js';
import { allBut } from '../all-but.js';
import { requirementType } from '../types.js';
import { ofThem } from '../words.js';

export const textSize = requirementType({
  id: 'text-size',
  group: 'style',
  asks: () => 'kept',
  looksOnly: true,
  params: { min: { type: 'number', default: 12, least: 1, most: 200 } },
  sentence: 'Words are at least <b-min>{min}</b-min> px high',
  messages: {
    share: ofThem('large enough'),
    small: '“{text}” is written in {size}: make it {min} or more.',
  },
  check: ({ min }, { index, assignment: { legend } }) => {
    const sizes = index.map.topics.map((topic) => ({ topic, size: topicStyle(topic, legend).fontSize }));
    const small = sizes.filter(({ size }) => size < min - CLOSE);
    return allBut(
      small.map(({ topic, size }) => ({
        code: 'small',
        data: { text: topic.text, size, min },
        topics: [topic.id],
      })),
      sizes.length,
      'topics',
    );
  },
});
