import { remembered } from '../../words/word-forms.js';
import { contrast } from '../../map/colour.js';
import { CLOSE } from '../../map/kinds.js';
import { topicStyle } from '../../map/style.js';
import { allBut } from '../all-but.js';
import { requirementType } from '../types.js';
import { ofThem } from '../words.js';

export const inkContrast = requirementType({
  id: 'ink-contrast',
  group: 'style',
  asks: () => 'kept',
  asksNothing: ({ min }) => min === 1,
  looksOnly: true,
  params: { min: { type: 'number', default: 4.5, least: 1, most: 21 } },
  sentence: 'Words stand out from their fill at least <b-min>{min}</b-min> to 1',
  messages: {
    share: ofThem('easy to read'),
    faint: '“{text}” stands out {ratio} to 1 only: make its fill paler or its ink darker.',
  },
  check: ({ min }, { index, assignment: { legend } }) => {
    const ratioOf = remembered((pair) => contrast(...(pair.split(' ') as [string, string])));
    const ratios = index.map.topics.map((topic) => {
      const { ink, fill } = topicStyle(topic, legend);
      return { topic, ratio: ratioOf(`${ink} ${fill}`) };
    });
    const faint = ratios.filter(({ ratio }) => ratio < min - CLOSE);
    return allBut(
      faint.map(({ topic, ratio }) => ({
        code: 'faint',
        data: { text: topic.text, ratio: Math.floor(ratio * 10) / 10 },
        topics: [topic.id],
      })),
      ratios.length,
      'topics',
    );
  },
});
