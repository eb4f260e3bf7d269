import { LIMITS, sumsOf, writeMap } from '@ichnograph/core';
import type { Report, TopicMap } from '@ichnograph/core';
import { refused } from '../common/problem.js';

/** Limits are the one thing for which a whole map is refused. */
export function refuseOversize({ topics, links }: TopicMap): void {
  const notes = topics.reduce((sum, { note }) => sum + (note?.length ?? 0), 0);
  if (topics.length > LIMITS.topics)
    throw refused(`A map can be handed in with up to ${LIMITS.topics} topics. This one has ${topics.length}.`);
  if (links.length > LIMITS.links)
    throw refused(`A map can be handed in with up to ${LIMITS.links} links. This one has ${links.length}.`);
  if (notes > LIMITS.allNotes)
    throw refused('The notes of this map are too long to be handed in. Shorten the longest ones.');
}

/** What is frozen of a map, as its row has it: nothing of it is judged or returned yet. */
export const frozenRow = (map: TopicMap, { report, reading }: { report: Report; reading: object }) => ({
  map: writeMap(map) as object,
  report: report as object,
  ...sumsOf(report),
  reading,
  // Summed in a moment, by those whose matter it is.
  sum: 0,
  sumOutOf: 0,
  notJudged: 0,
  returnedAt: null,
  letter: null,
  returnedBy: null,
  openedAt: null,
});
