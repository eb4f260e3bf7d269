import { levelsFrom } from '../../map-index/graph.js';
import { allBut } from '../all-but.js';
import { requirementType } from '../types.js';

export const fromRoot = requirementType({
  id: 'from-root',
  group: 'structure',
  asks: () => 'made',
  needsRoot: true,
  params: { follow: { type: 'choice', options: ['either', 'forward'], default: 'either' } },
  sentence:
    'Everything can be reached from the starting topic{follow, select, forward {, <b-follow>along the arrows</b-follow>} other {}}',
  messages: {
    noRoot: 'There is no starting topic to go out from.',
    share: '{count} of {of} can be reached.',
    unreached: 'No way leads from “{root}” to “{text}”: link it in.',
    wrongWay: 'No arrow leads on from “{root}” to “{text}”: turn one round, or add one.',
  },
  check: ({ follow }, { index }) => {
    const { root, structuralTopics: topics } = index;
    if (!root) return { fraction: 0, code: 'noRoot', evidence: [] };
    const reached =
      follow === 'either'
        ? index.levels
        : levelsFrom(root.id, (id) => (index.outLinks.get(id) ?? []).map(({ from, to }) => (from === id ? to : from)));
    const unreached = topics.filter(({ id }) => !reached.has(id));
    return allBut(
      unreached.map(({ id, text }) => ({
        code: index.levels.has(id) ? 'wrongWay' : 'unreached',
        data: { text, root: root.text },
        topics: [id],
      })),
      topics.length,
      'topics',
    );
  },
});
