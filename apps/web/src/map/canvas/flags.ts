import { numbered } from '@ichnograph/core';
import type { Report, Result, Status } from '@ichnograph/core';

export interface Flag {
  number: number;
  status: Status;
  requirement: string;
}
export type Flags = ReadonlyMap<string, readonly Flag[]>;

/** A requirement that flags more than this, and most of the map, wears its number only while it is chosen. */
const CROWD = 6;

/** What wears which numbers: for each topic's or link's id the requirements that flag it. */
export function flagsOf(report: Report | null, marks: number, chosen: string | null): Flags {
  const flags = new Map<string, Flag[]>();
  for (const { id: requirement, number, evidence, status } of numbered(report?.results ?? [])) {
    const ids = new Set(
      evidence.filter(({ flag }) => flag !== false).flatMap(({ topics, links }) => [...topics, ...links]),
    );
    if (requirement !== chosen && ids.size > CROWD && ids.size > marks / 2) continue;
    for (const id of ids) flags.set(id, [...(flags.get(id) ?? []), { number, status, requirement }]);
  }
  return flags;
}

/** What a requirement speaks of, so that all else can be dimmed; null when it speaks of nothing on the map. */
export function concernOf(
  result: Result | undefined,
  links: readonly { id: string; from: string; to: string }[],
): ReadonlySet<string> | null {
  if (!result) return null;
  const ids = new Set(result.evidence.flatMap((piece) => [...piece.topics, ...piece.links]));
  if (ids.size === 0) return null;
  for (const { id, from, to } of links) {
    if (!ids.has(id)) continue;
    ids.add(from);
    ids.add(to);
  }
  return ids;
}
