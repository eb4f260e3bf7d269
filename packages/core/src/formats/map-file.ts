import { emptyMap } from '../map/types.js';
import type { TopicMap } from '../map/types.js';
import type { Problem } from '../requirements/params.js';
import { problemsOf, readJson, strictly } from './problems.js';
import type { Reading } from './problems.js';
import { map as validateMap } from '#validators';

/** Reads a map file's parsed JSON. Unknown fields are kept; nothing is taken half. */
export function readMap(value: unknown): Reading<TopicMap> {
  const problems = problemsOf('ichnograph-map', validateMap, value);
  if (problems.length > 0) return { value: null, messages: problems };
  const file = value as TopicMap & { wordBank?: { id?: string; text: string }[] };
  const map = {
    ...emptyMap(),
    ...file,
    wordBank: (file.wordBank ?? []).map((entry, i) => ({ ...entry, id: entry.id ?? `bank-${i + 1}` })),
  };
  return strictly(map, referenceProblems(file));
}

export const readMapText = (text: string): Reading<TopicMap> => readJson(text, readMap);

/** What a schema cannot say: ids unique in the file, links between two different topics of the map. */
function referenceProblems({ topics, links, pictures, regions, groups, tours }: TopicMap): Problem[] {
  const seen = new Set<string>();
  const topicIds = new Set(topics.map((topic) => topic.id));
  const lists = { topics, links, pictures, regions, groups, tours } as Record<
    string,
    readonly { id: string }[] | undefined
  >;
  const repeated = Object.entries(lists).flatMap(([name, list]) =>
    (list ?? []).flatMap(({ id }, i): Problem[] => {
      if (seen.has(id)) return [{ path: `$.${name}[${i}].id`, reason: `“${id}” is used twice` }];
      seen.add(id);
      return [];
    }),
  );
  const ends = links.flatMap(({ from, to }, i): Problem[] => [
    ...(topicIds.has(from) ? [] : [{ path: `$.links[${i}].from`, reason: `“${from}” is no topic of the map` }]),
    ...(topicIds.has(to) ? [] : [{ path: `$.links[${i}].to`, reason: `“${to}” is no topic of the map` }]),
    ...(from === to ? [{ path: `$.links[${i}].to`, reason: 'joins a topic to itself' }] : []),
  ]);
  return [...repeated, ...ends];
}

/** The map as a file's JSON value; deterministic. Live order keys and bank ids stay behind: the array is the order. */
export function writeMap(map: TopicMap): Record<string, unknown> {
  const withoutOrder = <T extends object>(items: readonly T[]): object[] => items.map((item) => omit(item, ['order']));
  return {
    ...map,
    format: 'ichnograph-map',
    version: 1,
    topics: withoutOrder(map.topics),
    links: withoutOrder(map.links),
    pictures: withoutOrder(map.pictures),
    regions: withoutOrder(map.regions),
    groups: withoutOrder(map.groups),
    tours: withoutOrder(map.tours),
    wordBank: map.wordBank.map((entry) => omit(entry, ['order', 'id'])),
  };
}

function omit(item: object, names: readonly string[]): object {
  return Object.fromEntries(Object.entries(item).filter(([name]) => !names.includes(name)));
}
