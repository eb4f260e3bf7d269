/** Counts how texts are spelled, white space collapsed, and says which spelling is the commonest; ties: the first. */
export class Spellings {
  private readonly counts = new Map<string, number>();

  add(text: string): void {
    const spelling = text.replace(/\s+/g, ' ').trim();
    this.counts.set(spelling, (this.counts.get(spelling) ?? 0) + 1);
  }

  get commonest(): string {
    let [best, most] = ['', 0];
    for (const [spelling, count] of this.counts) if (count > most) [best, most] = [spelling, count];
    return best;
  }
}
