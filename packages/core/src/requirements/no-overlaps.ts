import { overlappingPairs } from '../geometry/meetings.js';
import { boxOf } from '../geometry/points.js';
import { share } from './fractions.js';
import { requirementType } from './types.js';
import { blank, plural, quoted } from './words.js';

type Params = { gap: number };

export const noOverlaps = requirementType<Params>({
  id: 'no-overlaps',
  group: 'layout',
  asks: () => 'kept',
  readsPlaces: true,
  params: { gap: { type: 'number', default: 0, least: 0 } },
  sentence: ({ gap }) =>
    gap === 0 ? ['No topic lies on another'] : ['Topics stand at least ', blank('gap', gap), ' units apart'],
  messages: {
    none: () => 'Each stands clear.',
    some: ({ count }) => `${plural(Number(count), 'topic')} in each other's way.`,
    overlap: ({ a, b }) => `${quoted(String(a))} and ${quoted(String(b))} are too close: move one away.`,
  },
  check: ({ gap }, { index }) => {
    const { topics } = index.map;
    const boxes = topics.map((topic) => boxOf(topic, gap / 2));
    const pairs = overlappingPairs(boxes).filter(([i, j]) => {
      const [a, b] = [boxes[i]!, boxes[j]!];
      return (
        Math.min(a.right, b.right) - Math.max(a.left, b.left) > 0 &&
        Math.min(a.bottom, b.bottom) - Math.max(a.top, b.top) > 0
      );
    });
    const flagged = new Set(pairs.flat());
    return {
      fraction: 1 - share(flagged.size, topics.length),
      figures: { overlapping: flagged.size, topics: topics.length },
      message: flagged.size ? 'some' : 'none',
      data: { count: flagged.size },
      evidence: pairs.map(([i, j]) => {
        const [a, b] = [topics[i]!, topics[j]!];
        return { message: 'overlap', data: { a: a.text, b: b.text }, topics: [a.id, b.id] };
      }),
    };
  },
});
