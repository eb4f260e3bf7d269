import { readMap } from '@ichnograph/core';
import type { TopicMap } from '@ichnograph/core';
import type { SubmissionDetail } from '@ichnograph/contract';
import { FORMATS } from '@ichnograph/formats';
import type { FormatName } from '@ichnograph/formats';
import { csvOf } from '../common/csv.js';

/** The formats in which each map of a class lies in its archive, beside its drawing. */
const AS: readonly FormatName[] = ['json', 'graphml'];

/** A map that was handed in, with what the list of the archive says of it. */
export interface ClassMap {
  /** the beginning of its files' names */
  name: string;
  names: string;
  detail: SubmissionDetail;
  map: TopicMap;
}

/** The map of a submission, with the legend it was drawn by. */
export function withLegend({ map, assignment }: SubmissionDetail): TopicMap {
  const { legend } = assignment as { legend: TopicMap['legend'] };
  const { value, messages } = readMap({ ...map, legend });
  if (!value) throw new Error(`a map that was handed in cannot be read: ${messages[0]?.path} ${messages[0]?.reason}`);
  return value;
}

/** The files of one map that other programs open, by name. */
export async function filesOf({ name, map, detail }: ClassMap): Promise<Record<string, Uint8Array>> {
  const writing = { legend: map.legend, at: new Date(detail.handedInAt) };
  const files = await Promise.all(
    AS.map(async (as) => {
      const format = FORMATS.find((one) => one.name === as)!;
      const { content } = await format.write!(map, writing);
      return [`${name}.${format.endings[0]}`, content] as const;
    }),
  );
  return Object.fromEntries(files);
}

const HEAD = [
  'File',
  'Students',
  'Title',
  'Handed in',
  'Late',
  'Number',
  'State',
  'Topics',
  'Links',
  'Brought in from',
];

/** What lies in the archive, as a table: a row a map. */
export const manifestOf = (maps: readonly ClassMap[]): string =>
  csvOf(
    HEAD,
    maps.map(({ name, names, map, detail }) => [
      name,
      names,
      map.title,
      detail.handedInAt,
      detail.late ? 'late' : '',
      detail.number,
      detail.state,
      map.topics.length,
      map.links.length,
      detail.broughtFrom ?? '',
    ]),
  );
