import { isBlank, kindOfTopic, mapOutline } from '@ichnograph/core';
import type { Legend, Link, Topic, TopicMap } from '@ichnograph/core';
import type { Say } from '../format.js';
import { named } from '../draft/words.js';

/** A topic of an outline as files have it. */
export interface Line {
  topic: Topic;
  /** 0 at the margin, and never more than one more than the line before */
  depth: number;
  /** the link by which it hangs; null at the margin */
  by: Link | null;
  ties: Link[];
}

/** The outline of a map without topics that say nothing: those are said, and what hangs from one hangs one higher. */
export function linesOf(map: TopicMap, say: Say): Line[] {
  const byId = new Map(map.topics.map((topic) => [topic.id, topic]));
  const isTold = (id: string): boolean => !isBlank(byId.get(id)!.text);
  /** of each open line whether it is told */
  const above: boolean[] = [];
  return mapOutline(map).flatMap(({ id, depth, by, ties }): Line[] => {
    above.length = depth;
    const told = above.filter(Boolean).length;
    above.push(isTold(id));
    if (!isTold(id)) {
      sayWordless(id, say);
      return [];
    }
    const line = { topic: byId.get(id)!, depth: told, by: told === 0 ? null : by };
    return [{ ...line, ties: ties.flatMap(({ link }) => (isTold(link.to) ? [link] : [])) }];
  });
}

export const sayWordless = (id: string, say: Say): void => say(`topic ${named(id)}`, 'left out: it has no text');

/** The name of a kind; one that no legend knows stands for its name. */
export const kindName = (legend: Legend | undefined, { kind }: Topic): string | undefined =>
  kind === null ? undefined : (kindOfTopic(legend, kind)?.name ?? kind);
export const linkKindName = (legend: Legend | undefined, { kind }: Link): string | undefined =>
  kind === null ? undefined : (legend?.linkKinds.find(({ id }) => id === kind)?.name ?? kind);
