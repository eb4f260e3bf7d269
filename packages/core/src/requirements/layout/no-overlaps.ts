import { eachOverlap } from '../../geometry/meetings.js';
import { boxOf } from '../../geometry/points.js';
import { share } from '../fractions.js';
import { Tally } from '../tally.js';
import { requirementType } from '../types.js';

export const noOverlaps = requirementType({
  id: 'no-overlaps',
  group: 'layout',
  asks: () => 'kept',
  readsPlaces: true,
  params: { gap: { type: 'number', default: 0, least: 0 } },
  sentence:
    '{gap, plural, =0 {No topic lies on another} other {Topics stand at least <b-gap>{gap}</b-gap> units apart}}',
  messages: {
    none: 'Each stands clear.',
    some: '{count, plural, one {1 topic} other {{count} topics}} in each other’s way.',
    overlap: '“{a}” and “{b}” are too close: move one away.',
    overlaps: '“{a}” is too close to {others, plural, one {1 other} other {{others} others}}: move it away.',
  },
  check: ({ gap }, { index }) => {
    const { topics } = index.map;
    const boxes = topics.map((topic) => boxOf(topic, gap / 2));
    const tally = new Tally();
    eachOverlap(
      boxes,
      (i, j) => {
        const [a, b] = [boxes[i]!, boxes[j]!];
        const [wide, high] = [
          Math.min(a.right, b.right) - Math.max(a.left, b.left),
          Math.min(a.bottom, b.bottom) - Math.max(a.top, b.top),
        ];
        if (wide <= 0 || high <= 0) return;
        const [one, other] = [topics[i]!, topics[j]!];
        tally.add([one, other], () => ({
          code: 'overlap',
          data: { a: one.text, b: other.text },
          topics: [one.id, other.id],
        }));
      },
      index.pulse,
    );
    const count = topics.filter(tally.has).length;
    return {
      fraction: 1 - share(count, topics.length),
      figures: { overlapping: count, topics: topics.length },
      code: count ? 'some' : 'none',
      data: { count },
      evidence: tally.evidence({
        topic: ({ id, text }, others) => ({
          code: 'overlaps',
          data: { a: text, others },
          topics: [id],
        }),
      }),
    };
  },
});
