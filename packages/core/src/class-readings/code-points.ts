/** Compares two texts by Unicode code points: what `<` does, but for characters beyond the first plane. */
export function byCodePoints(a: string, b: string): number {
  const [x, y] = [a[Symbol.iterator](), b[Symbol.iterator]()];
  for (;;) {
    const [one, other] = [x.next().value, y.next().value];
    if (one === undefined || other === undefined) return Number(one !== undefined) - Number(other !== undefined);
    if (one !== other) return one.codePointAt(0)! - other.codePointAt(0)!;
  }
}
