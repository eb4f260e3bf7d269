/** Points for so many requirements that together are a sum: whole ones, the first ones a point more where it does not divide. */
export function sharedPoints(sum: number, count: number): number[] {
  const whole = Math.floor(sum);
  const least = Math.floor(whole / count);
  const more = whole - least * count;
  // What is left of a sum that is no whole number goes to the last, so that nothing is lost.
  return Array.from(
    { length: count },
    (_, i) => least + (i < more ? 1 : 0) + (i === count - 1 ? Math.round((sum - whole) * 100) / 100 : 0),
  );
}
