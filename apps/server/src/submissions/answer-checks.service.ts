import { Injectable } from '@nestjs/common';
import { holdsAnswers, resultForStudents } from '@ichnograph/core';
import type { Result } from '@ichnograph/core';
import { workDocument } from '@ichnograph/contract';
import { RateLimiterMemory, RateLimiterRes } from 'rate-limiter-flexible';
import type { Account } from '../accounts/index.js';
import { DueTimes, Revisions } from '../assignments/index.js';
import { notFound, Problem } from '../common/problem.js';
import { Snapshots } from '../live/index.js';
import { Checks } from '../checks/index.js';
import { WorksService } from '../works/index.js';

/** Looks a minute: one every two seconds, and some to spare. */
const CEILING = { points: 40, duration: 60 } as const;

/**
 * The live check of those requirements whose answers no student's browser is sent: on what is stored, by the same core
 * as at hand-in, so that the list says what the receipt will say.
 */
@Injectable()
export class AnswerChecks {
  private readonly looks = new RateLimiterMemory(CEILING);

  constructor(
    private readonly works: WorksService,
    private readonly revisions: Revisions,
    private readonly dueTimes: DueTimes,
    private readonly snapshots: Snapshots,
    private readonly checks: Checks,
  ) {}

  async results(workId: string, { id: accountId }: Account): Promise<Result[]> {
    const { work, isMember } = await this.works.seen(workId, accountId);
    if (!isMember) throw notFound('map');
    const assignment = await this.revisions.bodyOf(work.revisionId);
    const requirements = assignment.requirements.filter(holdsAnswers);
    if (requirements.length === 0) return [];
    await this.count(accountId);
    const drawn = await this.snapshots.of(workDocument(workId));
    if (!drawn) throw notFound('map');
    const report = await this.checks.check(
      drawn.map,
      { ...assignment, requirements },
      {
        members: work.members!.map((member) => member.accountId),
        due:
          (
            await this.dueTimes.of(
              work.publication!,
              work.members!.map(({ accountId: id }) => id),
            )
          )?.toISOString() ?? null,
        handedIn: null,
      },
      'now',
    );
    return report.results.map(resultForStudents);
  }

  private async count(accountId: string): Promise<void> {
    try {
      await this.looks.consume(accountId);
    } catch (error) {
      if (!(error instanceof RateLimiterRes)) throw error;
      throw new Problem(429, 'Too often', 'That was looked at often enough for now. It goes on in a moment.');
    }
  }
}
