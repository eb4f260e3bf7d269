import { remembered } from '../../words/word-forms.js';
import { luminance } from '../../map/colour.js';
import { CLOSE } from '../../map/kinds.js';
import { topicStyle } from '../../map/style.js';
import { allBut } from '../all-but.js';
import { requirementType } from '../types.js';
import { percent, ofThem } from '../words.js';

export const paleFills = requirementType({
  id: 'pale-fills',
  group: 'style',
  asks: () => 'kept',
  asksNothing: ({ minLuminance }) => minLuminance === 0,
  looksOnly: true,
  params: { minLuminance: { type: 'number', default: 0.55, least: 0, most: 1 } },
  sentence:
    'Fills are pale enough to print: at least <b-minLuminance>{minLuminance} %</b-minLuminance> as light as paper',
  shown: ({ minLuminance }) => ({ minLuminance: percent(minLuminance) }),
  messages: {
    share: ofThem('pale enough'),
    dark: '“{text}” is {light} % as light as paper and prints dark: choose a paler fill.',
  },
  check: ({ minLuminance }, { index, assignment: { legend } }) => {
    const lightOf = remembered(luminance);
    const fills = index.map.topics.map((topic) => ({ topic, light: lightOf(topicStyle(topic, legend).fill) }));
    const dark = fills.filter(({ light }) => light < minLuminance - CLOSE);
    return allBut(
      dark.map(({ topic, light }) => ({
        code: 'dark',
        data: { text: topic.text, light: Math.round(light * 100) },
        topics: [topic.id],
      })),
      fills.length,
      'topics',
    );
  },
});
