import { done, refused } from '../map/changes.js';
import type { Change, Outcome } from '../map/changes.js';
import { contrast, darkShade } from '../map/colour.js';
import { isStructural } from '../map/kinds.js';
import { kindOfLink, kindOfTopic } from '../map/style.js';
import type { Topic, TopicMap } from '../map/types.js';
import { branchOf, hangsBy } from './hanging.js';
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

/** The topics by which the branches leave the trunk, in the map's order; what stands beside the structure is none. */
function mainsOf(map: TopicMap, rules: Ruled, root: Topic): Topic[] {
  const hangs = hangsBy(map);
  return map.topics.filter(({ id, kind }) => {
    const of = kindOfTopic(rules.legend, kind);
    return hangs.get(id)?.from === root.id && (!of || isStructural(of));
  });
}

/**
 * Gives each main branch a fill of its own, in one act; what stands beside the structure keeps its looks.
 * @param fills in the order in which branches take them; for more they come again
 * @param lines whether the links of each branch are drawn in a dark shade of it
 */
export function colourBranches(
  map: TopicMap,
  rules: Ruled,
  { fills = BRANCH_FILLS, lines = false }: { fills?: readonly string[]; lines?: boolean } = {},
): Outcome {
  if (isFixed(rules)) return refused('looksFixed');
  if (fillSaysKind(rules)) return refused('fillSaysKind');
  const root = trunk(map, rules);
  if (!root) return refused('nothingChosen');
  const mains = mainsOf(map, rules, root);
  if (mains.length === 0) return refused('noBranches');
  return done(
    ...mains.flatMap((main, i) => {
      const [branch, fill] = [branchOf(map, [main.id]), fills[i % fills.length]!];
      return [...filled(map, branch, fill, rules), ...(lines ? lined(map, branch, fill, rules) : [])];
    }),
  );
}

/**
 * Gives topics and all that hangs from them one fill.
 * @param lines whether the links of the branch, and the one it hangs by, are drawn in a dark shade of it
 */
export function colourBranch(
  map: TopicMap,
  ids: readonly string[],
  { fill, lines = false }: { fill: string; lines?: boolean },
  rules: Ruled,
): Outcome {
  if (isFixed(rules)) return refused('looksFixed');
  if (fillSaysKind(rules)) return refused('fillSaysKind');
  if (ids.length === 0) return refused('nothingChosen');
  const branch = branchOf(map, ids);
  return done(...filled(map, branch, fill, rules), ...(lines ? lined(map, branch, fill, rules) : []));
}

/** The links by which the topics of a branch hang, in the dark shade of its fill; lines beside the structure keep theirs. */
function lined(map: TopicMap, branch: readonly string[], fill: string, { legend }: Ruled): Change[] {
  const [hangs, colour] = [hangsBy(map), darkShade(fill)];
  return branch.flatMap((id): Change[] => {
    const link = hangs.get(id);
    const isOfIt = link && link.colour !== colour && isStructural(kindOfLink(legend, link.kind));
    return isOfIt ? [{ do: 'set', in: 'links', id: link.id, fields: { colour } }] : [];
  });
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

/**
 * The fill that a new topic takes from what it grows on: where its branches were coloured by hand. That one topic alone was
 * filled says nothing of its branch; that it shares its fill with what it hangs from or what hangs from it does, and so does
 * a main branch where another has a fill too.
 */
export function branchFill(map: TopicMap, from: string | null, rules: Ruled): string | undefined {
  const parent = map.topics.find(({ id }) => id === from);
  if (!parent?.fill || isFixed(rules) || fillSaysKind(rules)) return undefined;
  const hangs = hangsBy(map);
  const near = map.topics.filter(({ id }) => hangs.get(id)?.from === parent.id || hangs.get(parent.id)?.from === id);
  if (near.some(({ fill }) => fill === parent.fill)) return parent.fill;
  const root = trunk(map, rules);
  const mains = root ? mainsOf(map, rules, root).filter(({ fill }) => fill !== undefined) : [];
  return mains.length > 1 && mains.includes(parent) ? parent.fill : undefined;
}
