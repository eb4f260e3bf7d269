/** A person who goes, and what becomes of the works they had a hand in. */
export interface Erasure {
  accountId: string;
  /** works that go with them: nobody else's, and never handed in */
  gone: readonly string[];
  /** works that stay, without the person's name, each with the names of those who stay */
  left: ReadonlyMap<string, string>;
}

/**
 * What a feature keeps of a person, and how it lets go of that. The person's page and erasure go through these: whoever
 * keeps something says so here, and nobody reaches into another's tables.
 */
export interface Keeper {
  /** everything that bears the person's name or was made by them, under names of the feature's own */
  kept(accountId: string): Promise<Record<string, unknown>>;
  /** within the unit of work of the erasure */
  erase(erasure: Erasure): Promise<void>;
  /** whether something that it keeps, and that stays, names this file; asked before anything is erased */
  stillNames?(hash: string, erasure: Erasure): Promise<boolean>;
  /** once that is committed */
  afterwards?(erasure: Erasure): Promise<void>;
}
