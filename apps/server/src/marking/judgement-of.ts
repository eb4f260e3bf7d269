import type { Judgement } from '@ichnograph/core';
import type { EntityManager } from 'typeorm';
import { JudgementEntry } from './judgement.entity.js';

/** What was judged of a submission so far. */
export async function judgementOf(manager: EntityManager, submissionId: string): Promise<Judgement> {
  const rows = await manager.findBy(JudgementEntry, { submissionId });
  const valuesOf = (kind: JudgementEntry['kind']): Record<string, number> =>
    Object.fromEntries(rows.filter((row) => row.kind === kind).map(({ subject, value }) => [subject, value]));
  return { points: valuesOf('result'), levels: valuesOf('criterion') };
}
