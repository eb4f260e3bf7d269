import { boxesNear, entersBox } from '../geometry/boxes.js';
import { boxOf } from '../geometry/points.js';
import { linkStyle, topicStyle } from '../map/style.js';
import { share } from './fractions.js';
import { requirementType } from './types.js';
import type { Finding } from './types.js';
import { blank, plural, quoted } from './words.js';

type Params = { excuseBehind: boolean };
/** How far inside a topic's box its words begin, units. */
const INSET = 4;

export const clearText = requirementType<Params>({
  id: 'clear-text',
  group: 'layout',
  asks: () => 'kept',
  readsPlaces: true,
  params: { excuseBehind: { type: 'boolean', default: true } },
  sentence: ({ excuseBehind }) => [
    'No line runs over words',
    ...(excuseBehind ? [] : [', ', blank('excuseBehind', 'not even behind a topic')]),
  ],
  messages: {
    none: () => 'All words are clear.',
    some: ({ count }) => `${plural(Number(count), 'line')} over words.`,
    over: ({ a, b, text }) => `The link ${quoted(`${a} – ${b}`)} runs over ${quoted(text)}: move one of them.`,
  },
  check: ({ excuseBehind }, { index, assignment: { legend } }) => {
    const { topics, links } = index.map;
    const lines = links.map((link) => index.drawnPart(link));
    const near = boxesNear(
      lines,
      topics.map((topic) => boxOf(topic, -INSET)),
    );
    const evidence = links.flatMap((link, i): Finding[] => {
      const [a, b] = index.ends(link);
      const under = near[i]!.map((k) => topics[k]!).filter((topic) => {
        if (topic === a || topic === b) return false;
        const { z, fill } = topicStyle(topic, legend);
        if (excuseBehind && z >= linkStyle(link, legend).z && fill !== 'none') return false;
        return entersBox(lines[i]!, boxOf(topic, -INSET));
      });
      return under.map(({ id, text }) => ({
        message: 'over',
        data: { a: a.text, b: b.text, text },
        links: [link.id],
        topics: [id],
      }));
    });
    const count = new Set(evidence.flatMap(({ links: ids }) => ids)).size;
    return {
      fraction: 1 - share(count, links.length),
      figures: { links: links.length, over: count },
      message: count ? 'some' : 'none',
      data: { count },
      evidence,
    };
  },
});
