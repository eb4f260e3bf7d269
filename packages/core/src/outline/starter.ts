import { stratify, tree } from 'd3-hierarchy';
import { fitTopic } from '../geometry/fit.js';
import { boxOf, unionOf } from '../geometry/points.js';
import { applyChanges } from '../map/changes.js';
import { emptyMap } from '../map/types.js';
import type { Assignment, Link, Term, Topic, TopicMap } from '../map/types.js';
import { lettersIn, SCREEN } from '../tidy/frame.js';
import { mirroredMap, readsLeftward } from '../tidy/leftward.js';
import { tidyMap } from '../tidy/tidy.js';
import { normalForm } from '../words/normal-form.js';

/** How far topics stand apart beside and below each other, canvas units. */
const [BESIDE, BELOW] = [28, 74];

/** What a forest hangs from, so that it is a tree; nobody sees it. */
const ALL = 'all';

type Given = Pick<Assignment, 'terms' | 'root' | 'legend'>;

/**
 * A starter map made from the terms that are to be on the map, and from the root: a topic for each, linked from what it is
 * handed out under, each below or right of that, in the order of the terms. A tree that can be read in the frame is drawn as
 * one, each level below the last (Buchheim, Jünger and Leipert, *Improving Walker's algorithm to run in linear time*, 2002);
 * what is larger in blocks. Nothing overlaps, no links cross. Twice the same map for the same terms.
 * @param frame what it is to be read in; left out: all that a screen has for a map
 */
export function starterFrom(assignment: Given, frame = SCREEN): TopicMap {
  const map = treeFrom(assignment);
  const letters = ({ topics }: TopicMap): number => {
    const box = unionOf(topics.map((topic) => boxOf(topic)));
    return box ? lettersIn({ width: box.right - box.left, height: box.bottom - box.top }, frame) : Infinity;
  };
  if (letters(map) >= lettersIn(NOTHING, frame)) return map;
  const fitted = applyChanges(map, tidyMap(map, { way: 'downward', frame }, assignment.legend));
  return letters(map) >= TREE_ENOUGH * letters(fitted) ? map : fitted;
}
const NOTHING = { width: 0, height: 0 };
/** What of the letters in blocks is enough for a tree to be kept. */
const TREE_ENOUGH = 0.9;

/** The same as a tree alone, however large. */
export function treeFrom(assignment: Given): TopicMap {
  const terms = termsOnTheMap(assignment);
  const idOf = new Map(terms.map(({ text }, i) => [normalForm(text), `topic-${i + 1}`]));
  const parentOf = parents(terms, idOf);
  const drafts = terms.map(({ text, kind }, i): Topic => {
    const draft: Topic = { id: `topic-${i + 1}`, text, kind: kind ?? null, x: 0, y: 0, width: 1, height: 1 };
    return { ...draft, ...fitTopic(draft, assignment.legend) };
  });
  const links = drafts.flatMap(({ id }): Omit<Link, 'id'>[] => {
    const from = parentOf.get(id);
    return from === undefined ? [] : [{ from, to: id, phrase: '', kind: null }];
  });
  const map = {
    ...emptyMap(),
    topics: placed(drafts, parentOf),
    links: links.map((link, i) => ({ id: `link-${i + 1}`, ...link })),
  };
  return readsLeftward(map.topics) ? mirroredMap(map, assignment.legend) : map;
}

/** The terms placed on the map, in their order; the root first where no term of them is it. */
function termsOnTheMap({ terms, root, legend }: Given): Term[] {
  const isRoot = ({ text }: Term): boolean => root !== undefined && normalForm(text) === normalForm(root);
  const there = terms.filter((term) => term.place === 'map' || isRoot(term));
  const kind = legend.topicKinds.find((one) => one.root)?.id ?? null;
  const once = [...new Map(there.toReversed().map((term) => [normalForm(term.text), term])).values()].toReversed();
  return root === undefined || once.some(isRoot) ? once : [{ text: root, kind }, ...once];
}

/** What each topic hangs from, by id; of terms that stand under each other in a ring, the first hangs from nothing. */
function parents(terms: readonly Term[], idOf: ReadonlyMap<string, string>): Map<string, string> {
  const parentOf = new Map<string, string>();
  for (const { text, under } of terms) {
    const [id, from] = [idOf.get(normalForm(text))!, under == null ? undefined : idOf.get(normalForm(under))];
    if (from !== undefined && !isBelow(from, id, parentOf)) parentOf.set(id, from);
  }
  return parentOf;
}

function isBelow(id: string, top: string, parentOf: ReadonlyMap<string, string>): boolean {
  for (let at: string | undefined = id; at !== undefined; at = parentOf.get(at)) if (at === top) return true;
  return false;
}

function placed(drafts: readonly Topic[], parentOf: ReadonlyMap<string, string>): Topic[] {
  const seen = new Map(drafts.map((topic) => [topic.id, topic]));
  const root = stratify<{ id: string; parent: string | null }>()
    .id(({ id }) => id)
    .parentId(({ parent }) => parent)([
    { id: ALL, parent: null },
    ...drafts.map(({ id }) => ({ id, parent: parentOf.get(id) ?? ALL })),
  ]);
  const width = (id: string): number => seen.get(id)?.width ?? 0;
  tree<{ id: string; parent: string | null }>()
    .nodeSize([1, 1])
    .separation((a, b) => (width(a.data.id) + width(b.data.id)) / 2 + BESIDE)(root);
  const heights: number[] = [];
  root.each(({ data, depth }) => {
    heights[depth] = Math.max(heights[depth] ?? 0, seen.get(data.id)?.height ?? 0);
  });
  const tops = heights.map((_, depth) => heights.slice(1, depth).reduce((sum, height) => sum + height + BELOW, 0));
  const at = new Map(root.descendants().map((node) => [node.data.id, node]));
  return drafts.map((topic) => {
    const { x = 0, depth } = at.get(topic.id)!;
    return { ...topic, x: Math.round(x), y: Math.round(tops[depth]! + heights[depth]! / 2) };
  });
}
