const ROOM = 200;

/** Ids of one map: what a file says where that can be kept, else new ones. */
export class Ids {
  private readonly used = new Set<string>();
  private readonly counts = new Map<string, number>();

  /** @param wanted by files: kept first, so that no new id takes theirs */
  constructor(private readonly wanted: ReadonlySet<string>) {}

  /** @param letter what a new one begins with */
  take(id: string | undefined, letter: string): string {
    const kept = id !== undefined && Ids.allows(id) && !this.used.has(id) ? id : this.free(letter);
    this.used.add(kept);
    return kept;
  }

  private free(letter: string): string {
    for (let i = (this.counts.get(letter) ?? 0) + 1; ; i++) {
      const id = `${letter}${i}`;
      if (this.used.has(id) || this.wanted.has(id)) continue;
      this.counts.set(letter, i);
      return id;
    }
  }

  static allows = (id: string): boolean => id.length > 0 && id.length <= ROOM && id.isWellFormed();
}
