import { allBut } from '../all-but.js';
import { requirementType } from '../types.js';
import { blank, ofThem, quoted } from '../words.js';

type Params = { maxChildren: number };

export const branching = requirementType<Params>({
  id: 'branching',
  group: 'structure',
  asks: () => 'kept',
  params: { maxChildren: { type: 'number', default: 7, least: 1, whole: true } },
  sentence: ({ maxChildren }) => ['From no topic hang more than ', blank('maxChildren', maxChildren), ' others'],
  messages: {
    noRoot: () => 'There is no starting topic to hang anything from.',
    none: () => 'Nothing hangs from anything yet.',
    share: ({ count, of }) => ofThem(count, of, 'light enough'),
    heavy: ({ text, count }) => `${count} topics hang from ${quoted(text)}: gather some of them under a heading.`,
  },
  check: ({ maxChildren }, { index }) => {
    if (!index.root) return { fraction: 0, message: 'noRoot', evidence: [] };
    const parents = index.map.topics
      .map((topic) => ({ topic, count: index.children(topic.id).length }))
      .filter(({ count }) => count > 0);
    const heavy = parents.filter(({ count }) => count > maxChildren);
    return allBut(
      heavy.map(({ topic, count: children }) => ({
        message: 'heavy',
        data: { text: topic.text, count: children },
        topics: [topic.id],
      })),
      parents.length,
      'parents',
      'none',
    );
  },
});
