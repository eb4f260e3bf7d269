import { colourDistance } from '../../map/colour.js';
import { CLOSE } from '../../map/kinds.js';
import { topicStyle } from '../../map/style.js';
import type { Topic } from '../../map/types.js';
import { share } from '../fractions.js';
import { requirementType } from '../types.js';
import type { Finding } from '../types.js';
import { ofThem, partOf } from '../words.js';

export const branchColours = requirementType({
  id: 'branch-colours',
  group: 'style',
  asks: () => 'made',
  needsRoot: true,
  params: { tolerance: { type: 'number', default: 10, least: 0, most: 100 } },
  sentence: 'Each main branch has a fill of its own, kept within <b-tolerance>{tolerance}</b-tolerance>',
  messages: {
    noRoot: 'There is no starting topic for branches to leave from.',
    share: ofThem('of one colour and told apart'),
    off: '“{text}” hangs from “{branch}”: give it the fill of that branch, and its ink.',
    near: '“{text}” and “{other}” look alike: give one of the two branches another fill.',
  },
  check: ({ tolerance }, { index, assignment: { legend } }) => {
    if (!index.root) return { fraction: 0, code: 'noRoot', evidence: [] };
    const fillOf = (topic: Topic): string => topicStyle(topic, legend).fill;
    const within = (a: Topic, b: Topic): boolean => colourDistance(fillOf(a), fillOf(b)) <= tolerance + CLOSE;
    const branches = index.mainBranches;
    const found = branches.map((branch) => {
      index.pulse();
      const own = index.map.topics.filter(({ id }) => {
        const of = index.branches.get(id);
        return of?.size === 1 && of.has(branch.id);
      });
      const near = branches.find((other) => other !== branch && within(branch, other));
      return [
        ...own
          .filter((topic) => !within(topic, branch))
          .map((topic): Finding => ({
            code: 'off',
            data: { text: topic.text, branch: branch.text },
            topics: [topic.id],
          })),
        ...(near ? [{ code: 'near', data: { text: branch.text, other: near.text }, topics: [branch.id] }] : []),
      ];
    });
    const [count, of] = [found.filter((faults) => faults.length === 0).length, branches.length];
    return {
      fraction: share(count, of),
      figures: { count, branches: of },
      code: 'share',
      data: partOf(count, of),
      evidence: found.flat(),
    };
  },
});
