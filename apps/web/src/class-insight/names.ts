import type { ClassInsight, Person } from '@ichnograph/contract';

/** Who made a map, in words. */
export const namesOf = (members: readonly Person[]): string =>
  members.map(({ givenName, familyName }) => `${givenName} ${familyName}`).join(', ');

/** By work, who made it. */
export const namesByWork = ({ works }: Pick<ClassInsight, 'works'>): ReadonlyMap<string, string> =>
  new Map(works.map(({ workId, members }) => [workId, namesOf(members)]));

/** So many of so many, in words. */
export const ofMaps = (count: number, all: number): string =>
  count === all ? `all ${all} maps` : count === 1 ? `one map of ${all}` : `${count} maps of ${all}`;
