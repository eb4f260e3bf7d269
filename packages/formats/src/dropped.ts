import { isBlank, linkStyle } from '@ichnograph/core';
import type { Legend, Link, Topic, TopicMap } from '@ichnograph/core';
import { SORTS } from './format.js';
import type { Keeps, Said, Sort } from './format.js';

/** Whether a map has something of a sort: at its topics, at its links, beside both. */
const HAS: Record<Sort, (map: TopicMap, legend: Legend | undefined) => boolean> = {
  notes: ({ topics }) => topics.some(({ note }) => !isBlank(note)),
  sources: ({ topics }) => topics.some(({ source }) => !isBlank(source)),
  addresses: ({ topics }) => topics.some(({ weblinks }) => count(weblinks) > 0),
  files: ({ topics }) => topics.some(({ files }) => count(files) > 0),
  arrows: ({ links }, legend) => links.some((link) => linkStyle(link, legend).arrow !== 'forward'),
  kinds: ({ topics, links }) => [...topics, ...links].some(({ kind }) => kind !== null),
  regions: ({ regions }) => regions.length > 0,
  groups: ({ groups }) => groups.length > 0,
  tours: ({ tours }) => tours.length > 0,
  pictures: ({ topics, pictures }) => pictures.length > 0 || topics.some((topic) => count(topic.pictures) > 0),
  'word bank': ({ wordBank }) => wordBank.length > 0,
};
const count = (list: readonly unknown[] | undefined): number => list?.length ?? 0;

/** What is still dropped of a sort that is kept in part. */
const STILL: Partial<Record<Sort, (topics: readonly Topic[], links: readonly Link[]) => string | null>> = {
  addresses: (topics) =>
    topics.some(({ weblinks }) => count(weblinks) > 1) ? 'left out, all but the first of each topic' : null,
  kinds: (_, links) => (links.some(({ kind }) => kind !== null) ? 'left out, those of links' : null),
};

/** What a format drops of a map, said once for each sort that the map has. */
export function droppedOf(map: TopicMap, legend: Legend | undefined, keeps: Keeps): Said[] {
  return SORTS.flatMap((sort): Said[] => {
    if (keeps[sort] === 'all' || !HAS[sort](map, legend)) return [];
    const reason = keeps[sort] ? STILL[sort]!(map.topics, map.links) : 'left out';
    return reason === null ? [] : [{ about: sort, reason }];
  });
}
