/** The teacher's word on one proposition. */
export const VERDICTS = ['sound', 'shaky', 'wrong'] as const;
export type Verdict = (typeof VERDICTS)[number];

export interface VerdictCounts {
  sound: number;
  shaky: number;
  toJudge: number;
}

/** What a map's propositions come to, each key once; those without a verdict are still to judge. */
export function countVerdicts(keys: Iterable<string>, verdictOf: (key: string) => Verdict | undefined): VerdictCounts {
  const counts: VerdictCounts = { sound: 0, shaky: 0, toJudge: 0 };
  for (const key of keys) {
    const verdict = verdictOf(key);
    if (verdict === 'sound' || verdict === 'shaky') counts[verdict] += 1;
    else if (verdict === undefined) counts.toJudge += 1;
  }
  return counts;
}
