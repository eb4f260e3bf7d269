import type { Criterion } from '@ichnograph/core';
import type { SecondMarkRow } from '@ichnograph/contract';
import { Criteria } from './criteria';
import type { Judged } from './judgement';
import type { Mode } from './mode';

/** The criteria with what this marker gave for each, first or second, and with how to give it where one may. */
export function CriteriaToGive({
  criteria,
  mode,
  judged,
  seconds,
  onGive,
}: {
  criteria: readonly Criterion[];
  mode: Mode;
  judged: Judged;
  /** what one gave as a second marker */
  seconds: readonly SecondMarkRow[];
  onGive: (criterion: string, level: number | null) => Promise<unknown>;
}) {
  const first = (criterion: string): number | null => judged.of('criterion', criterion)?.value ?? null;
  const second = (criterion: string): number | null =>
    seconds.find((one) => one.criterion === criterion)?.level ?? null;
  return (
    <Criteria
      criteria={criteria}
      levelOf={mode === 'marks second' ? second : first}
      onJudge={mode === 'reads' ? undefined : onGive}
    />
  );
}
