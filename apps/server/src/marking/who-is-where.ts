/** For how long somebody counts as being on a map after they said so, milliseconds. */
const KEPT_MS = 15_000;

/** Who of those who mark is on which map just now: said again every few seconds, forgotten soon, kept nowhere. */
export class WhoIsWhere {
  private readonly seen = new Map<string, Map<string, { workId: string; at: number }>>();

  /** Notes where somebody is. @returns where all others are who mark the same pile */
  note(pile: string, accountId: string, workId: string, now: number): { accountId: string; workId: string }[] {
    const here = this.seen.get(pile) ?? new Map<string, { workId: string; at: number }>();
    here.set(accountId, { workId, at: now });
    this.seen.set(pile, here);
    for (const people of this.seen.values())
      for (const [id, { at }] of people) if (now - at > KEPT_MS) people.delete(id);
    for (const [id, people] of this.seen) if (people.size === 0) this.seen.delete(id);
    return [...here].flatMap(([id, { workId: at }]) => (id === accountId ? [] : [{ accountId: id, workId: at }]));
  }
}
