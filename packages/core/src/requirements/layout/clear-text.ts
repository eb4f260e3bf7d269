import { entersBox } from '../../geometry/boxes.js';
import { boxOf } from '../../geometry/points.js';
import { linkStyle, topicStyle } from '../../map/style.js';
import { share } from '../fractions.js';
import { Tally } from '../tally.js';
import { requirementType } from '../types.js';

/** How far inside a topic's box its words begin, units. */
const INSET = 4;

export const clearText = requirementType({
  id: 'clear-text',
  group: 'layout',
  asks: () => 'kept',
  readsPlaces: true,
  params: { excuseBehind: { type: 'boolean', default: true } },
  sentence:
    'No line runs over words{excuseBehind, select, true {} other {, <b-excuseBehind>not even behind a topic</b-excuseBehind>}}',
  messages: {
    none: 'All words are clear.',
    some: '{count, plural, one {1 line} other {{count} lines}} over words.',
    over: 'The link “{a} – {b}” runs over “{text}”: move one of them.',
    overMany: 'The link “{a} – {b}” runs over {others, plural, one {1 topic} other {{others} topics}}: move it clear.',
    under: '{others, plural, one {1 line} other {{others} lines}} over “{text}”: move it into the clear.',
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
          code: 'over',
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
      code: count ? 'some' : 'none',
      data: { count },
      evidence: tally.evidence({
        topic: ({ id, text }, others) => ({ code: 'under', data: { text, others }, topics: [id] }),
        link: (link, others) => {
          const [a, b] = index.ends(link);
          return { code: 'overMany', data: { a: a.text, b: b.text, others }, links: [link.id] };
        },
      }),
    };
  },
});
