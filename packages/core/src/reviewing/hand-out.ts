import { seeded } from '../random.js';

/** A map that others look at, and who made it. */
export interface ReviewedMap {
  id: string;
  makers: readonly string[];
}

export interface HandingOut {
  maps: readonly ReviewedMap[];
  /** who looks at maps */
  reviewers: readonly string[];
  /** how many maps each is given */
  each: number;
  /** two who do not look at one another's maps */
  apart: readonly (readonly [string, string])[];
  /** what was handed out before: it stays */
  before: readonly { reviewer: string; map: string }[];
  seed: number;
}

/**
 * Hands maps out to be reviewed: nobody is given their own, nor one of whom they are kept apart from, nobody the same twice;
 * each is given as many as are wanted, as far as there are so many, and every map is looked at as often as every other, or once
 * more or less. Reviewers are matched with places at maps along augmenting paths (Ford and Fulkerson, *Maximal flow through a
 * network*, 1956): first as many places at each map as all can have, then one more at each. The same for the same seed.
 * @returns what is new
 */
export function handOut({
  maps,
  reviewers,
  each,
  apart,
  before,
  seed,
}: HandingOut): { reviewer: string; map: string }[] {
  const random = seeded(seed);
  const [inOrder, hands] = [shuffled(maps, random), shuffled(reviewers, random)];
  const may = (reviewer: string, { makers }: ReviewedMap): boolean =>
    !makers.includes(reviewer) &&
    !apart.some(([a, b]) => (a === reviewer && makers.includes(b)) || (b === reviewer && makers.includes(a)));
  /** by map: who looks at it */
  const lookedAt = new Map(inOrder.map(({ id }) => [id, new Set<string>()]));
  for (const { reviewer, map } of before) lookedAt.get(map)?.add(reviewer);
  const isBefore = new Set(before.map(({ reviewer, map }) => `${reviewer} ${map}`));
  const given = new Map(hands.map((reviewer) => [reviewer, 0]));
  for (const who of lookedAt.values()) for (const reviewer of who) given.set(reviewer, (given.get(reviewer) ?? 0) + 1);

  /** Gives a reviewer one more map, where need be by giving others another one in its stead. */
  const giveOne = (reviewer: string, room: ReadonlyMap<string, number>): boolean => {
    const tried = new Set<string>();
    const place = (who: string): boolean => {
      for (const map of inOrder) {
        const here = lookedAt.get(map.id)!;
        if (tried.has(map.id) || here.has(who) || !may(who, map)) continue;
        tried.add(map.id);
        if (here.size < room.get(map.id)!) {
          here.add(who);
          return true;
        }
        for (const other of [...here]) {
          if (isBefore.has(`${other} ${map.id}`)) continue;
          here.delete(other);
          here.add(who);
          if (place(other)) return true;
          here.delete(who);
          here.add(other);
        }
      }
      return false;
    };
    return place(reviewer);
  };
  const wanted = reviewers.length * each;
  const least = Math.floor(wanted / Math.max(1, maps.length));
  const fill = (room: ReadonlyMap<string, number>): void => {
    for (let round = 0; round < each; round++)
      for (const reviewer of hands)
        if (given.get(reviewer)! < each && giveOne(reviewer, room)) given.set(reviewer, given.get(reviewer)! + 1);
  };
  const room = new Map(inOrder.map(({ id }) => [id, Math.max(least, lookedAt.get(id)!.size)]));
  fill(room);
  fill(new Map([...room].map(([id, places]) => [id, Math.max(places, least + 1)])));
  return inOrder.flatMap(({ id }) =>
    [...lookedAt.get(id)!].flatMap((reviewer) => (isBefore.has(`${reviewer} ${id}`) ? [] : [{ reviewer, map: id }])),
  );
}

/** Fisher and Yates. */
function shuffled<T>(list: readonly T[], random: () => number): T[] {
  const all = [...list];
  for (let i = all.length - 1; i > 0; i--) {
    const j = Math.floor(random() * (i + 1));
    [all[i], all[j]] = [all[j]!, all[i]!];
  }
  return all;
}
