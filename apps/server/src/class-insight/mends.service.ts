import { Injectable } from '@nestjs/common';
import type { SmallestMend } from '@ichnograph/core';
import { Revisions } from '../assignments/index.js';
import { notFound } from '../common/problem.js';
import { Markable } from '../marking/index.js';
import { SubmissionsService } from '../submissions/index.js';
import { WorkerPool } from '../workers/index.js';
import type { Run } from '../workers/index.js';
import type * as tasks from './insight.tasks.js';

/** Milliseconds; the search itself ends sooner. */
const PATIENCE = 30_000;

/** What would mend a map, for the teacher's eyes. */
@Injectable()
export class MendsService {
  private readonly run: Run<typeof tasks>;

  constructor(
    private readonly markable: Markable,
    private readonly submissions: SubmissionsService,
    private readonly revisions: Revisions,
    workers: WorkerPool,
  ) {
    this.run = workers.tasks(new URL('./insight.tasks.js', import.meta.url));
  }

  async of(submissionId: string, requirement: string, accountId: string): Promise<{ mend: SmallestMend | null }> {
    const { submission, work } = await this.markable.mine(submissionId, accountId);
    const [map, assignment] = await Promise.all([
      this.submissions.mapOf(submissionId),
      this.revisions.bodyOf(submission.revisionId),
    ]);
    if (!assignment.requirements.some(({ id }) => id === requirement)) throw notFound('requirement');
    const context = {
      members: work.members!.map((member) => member.accountId),
      due: submission.due?.toISOString() ?? null,
      handedIn: submission.handedInAt.toISOString(),
    };
    return {
      mend: await this.run('mend', { map, assignment, requirement, context }, { lane: 'class', patience: PATIENCE }),
    };
  }
}
