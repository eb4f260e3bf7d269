import { entersBox } from '../../geometry/boxes.js';
import { boxOf } from '../../geometry/points.js';
import { linkStyle, topicStyle } from '../../map/style.js';
import { share } from '../fractions.js';
import { Tally } from '../tally.js';
import { requirementType } from '../types.js';
import { blank, plural, quoted } from '../words.js';

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
    overMany: ({ a, b, others }) =>
      `The link ${quoted(`${a} – ${b}`)} runs over ${plural(Number(others), 'topic')}: move it clear.`,
    under: ({ text, others }) => `${plural(Number(others), 'line')} over ${quoted(text)}: move it into the clear.`,
  },
  check: ({ excuseBehind }, { index, assignment: { legend } }) => {
    const { topics, links } = index.map;
    const words = topics.map((topic) => ({ topic, key: topic, box: boxOf(topic, -INSET) }));
    const tally = new Tally();
    const crossing = index.drawings.linesInTopics.find(
      index.lines,
      words,
      ({ link, part }, { topic, box }) =>
        topic.id !== link.from && topic.id !== link.to && entersBox(part, box) ? true : null,
      { pulse: index.pulse },
    );
    for (const {
      a: { link },
      b: { topic },
    } of crossing) {
      const { z, fill } = topicStyle(topic, legend);
      if (excuseBehind && z >= linkStyle(link, legend).z && fill !== 'none') continue;
      tally.add([link, topic], () => {
        const [a, b] = index.ends(link);
        return {
          message: 'over',
          data: { a: a.text, b: b.text, text: topic.text },
          links: [link.id],
          topics: [topic.id],
        };
      });
    }
    const count = links.filter(tally.has).length;
    return {
      fraction: 1 - share(count, links.length),
      figures: { links: links.length, over: count },
      message: count ? 'some' : 'none',
      data: { count },
      evidence: tally.evidence({
        topic: ({ id, text }, others) => ({ message: 'under', data: { text, others }, topics: [id] }),
        link: (link, others) => {
          const [a, b] = index.ends(link);
          return { message: 'overMany', data: { a: a.text, b: b.text, others }, links: [link.id] };
        },
      }),
    };
  },
});
