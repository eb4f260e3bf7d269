import { colourDistance } from '../../map/colour.js';
import { CLOSE } from '../../map/kinds.js';
import { topicStyle } from '../../map/style.js';
import type { Topic } from '../../map/types.js';
import { share } from '../fractions.js';
import { requirementType } from '../types.js';
import type { Finding } from '../types.js';
import { blank, ofThem, quoted } from '../words.js';

type Params = { tolerance: number };

export const branchColours = requirementType<Params>({
  id: 'branch-colours',
  group: 'style',
  asks: () => 'made',
  params: { tolerance: { type: 'number', default: 10, least: 0, most: 100 } },
  sentence: ({ tolerance }) => ['Each main branch has a fill of its own, kept within ', blank('tolerance', tolerance)],
  messages: {
    noRoot: () => 'There is no starting topic for branches to leave from.',
    share: ({ count, of }) => ofThem(count, of, 'of one colour and told apart'),
    off: ({ text, branch }) => `${quoted(text)} hangs from ${quoted(branch)}: give it the fill of that branch.`,
    near: ({ text, other }) =>
      `${quoted(text)} and ${quoted(other)} look alike: give one of the two branches another fill.`,
  },
  check: ({ tolerance }, { index, assignment: { legend } }) => {
    if (!index.root) return { fraction: 0, message: 'noRoot', evidence: [] };
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
            message: 'off',
            data: { text: topic.text, branch: branch.text },
            topics: [topic.id],
          })),
        ...(near ? [{ message: 'near', data: { text: branch.text, other: near.text }, topics: [branch.id] }] : []),
      ];
    });
    const [count, of] = [found.filter((faults) => faults.length === 0).length, branches.length];
    return {
      fraction: share(count, of),
      figures: { count, branches: of },
      message: 'share',
      data: { count, of },
      evidence: found.flat(),
    };
  },
});
