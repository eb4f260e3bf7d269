import { remembered } from '../../words/word-forms.js';
import { contrast } from '../../map/colour.js';
import { CLOSE } from '../../map/kinds.js';
import { topicStyle } from '../../map/style.js';
import { allBut } from '../all-but.js';
import { requirementType } from '../types.js';
import { blank, ofThem, quoted } from '../words.js';

type Params = { min: number };

export const inkContrast = requirementType<Params>({
  id: 'ink-contrast',
  group: 'style',
  asks: () => 'kept',
  params: { min: { type: 'number', default: 4.5, least: 1, most: 21 } },
  sentence: ({ min }) => ['Words stand out from their fill at least ', blank('min', min), ' to 1'],
  messages: {
    share: ({ count, of }) => ofThem(count, of, 'easy to read'),
    faint: ({ text, ratio }) => `${quoted(text)} stands out ${ratio} to 1 only: make its fill paler or its ink darker.`,
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
        message: 'faint',
        data: { text: topic.text, ratio: Math.floor(ratio * 10) / 10 },
        topics: [topic.id],
      })),
      ratios.length,
      'topics',
    );
  },
});
