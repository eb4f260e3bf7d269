/** For how long somebody counts as there after they said so, milliseconds. */
const KEPT_MS = 15_000;

/** Who has which sheet open just now: said again every few seconds, forgotten soon, kept nowhere. */
export class Presence {
  private readonly seen = new Map<string, Map<string, number>>();

  /** Notes that somebody is there. @returns the account ids of all who are, the earliest first */
  note(sheet: string, accountId: string, now: number): string[] {
    const here = this.seen.get(sheet) ?? new Map<string, number>();
    here.set(accountId, now);
    this.seen.set(sheet, here);
    for (const [id, at] of here) if (now - at > KEPT_MS) here.delete(id);
    for (const [id, people] of this.seen)
      if ([...people.values()].every((at) => now - at > KEPT_MS)) this.seen.delete(id);
    return [...here.keys()];
  }
}
