import { levelsFrom } from '../../map-index/graph.js';
import { allBut } from '../all-but.js';
import { requirementType } from '../types.js';
import { blank, quoted } from '../words.js';

type Params = { follow: 'either' | 'forward' };

export const fromRoot = requirementType<Params>({
  id: 'from-root',
  group: 'structure',
  asks: () => 'made',
  params: { follow: { type: 'choice', options: ['either', 'forward'], default: 'either' } },
  sentence: ({ follow }) => [
    'Everything can be reached from the starting topic',
    ...(follow === 'forward' ? [', ', blank('follow', 'along the arrows')] : []),
  ],
  messages: {
    noRoot: () => 'There is no starting topic to go out from.',
    share: ({ count, of }) => `${count} of ${of} can be reached.`,
    unreached: ({ text, root }) => `No way leads from ${quoted(root)} to ${quoted(text)}: link it in.`,
    wrongWay: ({ text, root }) =>
      `No arrow leads on from ${quoted(root)} to ${quoted(text)}: turn one round, or add one.`,
  },
  check: ({ follow }, { index }) => {
    const { root, structuralTopics: topics } = index;
    if (!root) return { fraction: 0, message: 'noRoot', evidence: [] };
    const reached =
      follow === 'either'
        ? index.levels
        : levelsFrom(root.id, (id) => (index.outLinks.get(id) ?? []).map(({ from, to }) => (from === id ? to : from)));
    const unreached = topics.filter(({ id }) => !reached.has(id));
    return allBut(
      unreached.map(({ id, text }) => ({
        message: index.levels.has(id) ? 'wrongWay' : 'unreached',
        data: { text, root: root.text },
        topics: [id],
      })),
      topics.length,
      'topics',
    );
  },
});
