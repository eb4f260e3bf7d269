import { allBut } from '../all-but.js';
import { requirementType } from '../types.js';
import { ofThem } from '../words.js';

export const branching = requirementType({
  id: 'branching',
  group: 'structure',
  asks: () => 'kept',
  needsRoot: true,
  params: { maxChildren: { type: 'number', default: 7, least: 1, whole: true } },
  sentence: 'From no topic hang more than <b-maxChildren>{maxChildren}</b-maxChildren> others',
  messages: {
    noRoot: 'There is no starting topic to hang anything from.',
    none: 'Nothing hangs from anything yet.',
    share: ofThem('light enough'),
    heavy: '{count} topics hang from “{text}”: gather some of them under a heading.',
  },
  check: ({ maxChildren }, { index }) => {
    if (!index.root) return { fraction: 0, code: 'noRoot', evidence: [] };
    const parents = index.map.topics
      .map((topic) => ({ topic, count: index.children(topic.id).length }))
      .filter(({ count }) => count > 0);
    const heavy = parents.filter(({ count }) => count > maxChildren);
    return allBut(
      heavy.map(({ topic, count: children }) => ({
        code: 'heavy',
        data: { text: topic.text, count: children },
        topics: [topic.id],
      })),
      parents.length,
      'parents',
      'none',
    );
  },
});
