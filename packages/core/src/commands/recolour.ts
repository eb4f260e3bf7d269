import { done, refused } from '../map/changes.js';
import type { Change, Outcome } from '../map/changes.js';
import { contrast } from '../map/colour.js';
import { isStructural } from '../map/kinds.js';
import { kindOfTopic } from '../map/style.js';
import type { Topic, TopicMap } from '../map/types.js';
import { branchOf, hangsBy } from './branches.js';
import { isFixed } from './looks.js';
import type { Ruled } from './looks.js';
import { refitted } from './maker.js';

/** Fills for branches, pale enough to print and as far apart as eight can be (CIEDE2000); for more they come again. */
export const BRANCH_FILLS = [
  '#cfe0dc',
  '#f6dcd2',
  '#e3ddf2',
  '#ebe7c4',
  '#d3ecf7',
  '#f3d6e4',
  '#dfeccb',
  '#e4e0d8',
] as const;

/** Whether a fill would say what kind a topic is of, so that colour is not free to tell branches apart. */
export const fillSaysKind = ({ styleMode, legend }: Ruled): boolean =>
  styleMode === 'free' && (legend.readBy ?? ['shape', 'fill']).includes('fill');

/** The topic all branches leave from: of the root kind, else what has most hanging from it. */
function trunk(map: TopicMap, { legend }: Ruled): Topic | undefined {
  const root = map.topics.find((topic) => kindOfTopic(legend, topic.kind)?.root);
  if (root) return root;
  const hangs = hangsBy(map);
  return map.topics
    .filter(({ id }) => !hangs.has(id))
    .map((topic) => ({ topic, size: branchOf(map, [topic.id]).length }))
    .sort((a, b) => b.size - a.size)[0]?.topic;
}

/** Gives each main branch a fill of its own, in one act; what stands beside the structure keeps its looks. */
export function colourBranches(map: TopicMap, rules: Ruled): Outcome {
  if (isFixed(rules)) return refused('looksFixed');
  if (fillSaysKind(rules)) return refused('fillSaysKind');
  const root = trunk(map, rules);
  if (!root) return refused('nothingChosen');
  const hangs = hangsBy(map);
  const mains = map.topics.filter(({ id, kind }) => {
    const of = kindOfTopic(rules.legend, kind);
    return hangs.get(id)?.from === root.id && (!of || isStructural(of));
  });
  if (mains.length === 0) return refused('noBranches');
  return done(
    ...mains.flatMap((main, i) => filled(map, branchOf(map, [main.id]), BRANCH_FILLS[i % BRANCH_FILLS.length]!, rules)),
  );
}

/** Gives topics and all that hangs from them one fill. */
export function colourBranch(map: TopicMap, ids: readonly string[], fill: string, rules: Ruled): Outcome {
  if (isFixed(rules)) return refused('looksFixed');
  if (fillSaysKind(rules)) return refused('fillSaysKind');
  if (ids.length === 0) return refused('nothingChosen');
  return done(...filled(map, branchOf(map, ids), fill, rules));
}

/** Least contrast of words on what is filled (WCAG 2.2, 1.4.3). */
const READABLE = 4.5;

/** A fill; an ink that a hand chose for another one goes where it could not be read on this. */
export function filled(map: TopicMap, ids: readonly string[], fill: string, { legend }: Ruled): Change[] {
  const wanted = new Set(ids);
  return map.topics
    .filter((topic) => {
      const kind = kindOfTopic(legend, topic.kind);
      return wanted.has(topic.id) && topic.fill !== fill && (!kind || isStructural(kind));
    })
    .map((topic): Change => {
      const isFaint = topic.ink !== undefined && contrast(topic.ink, fill) < READABLE;
      const fields = refitted(topic, { fill }, legend);
      return { do: 'set', in: 'topics', id: topic.id, fields: isFaint ? { ...fields, ink: undefined } : fields };
    });
}

/** The fill a new topic takes from the branch it grows on: one that was given by hand, where it does not say a kind. */
export const branchFill = (parent: Topic | undefined, rules: Ruled): string | undefined =>
  isFixed(rules) || fillSaysKind(rules) ? undefined : parent?.fill;
