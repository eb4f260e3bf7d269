import { Controller, Get, Query } from '@nestjs/common';
import type { SmallestMend } from '@ichnograph/core';
import type { ClassInsight, ClassWeights, Growth, StaysHard } from '@ichnograph/contract';
import { For, Who } from '../accounts/index.js';
import type { SignedIn } from '../accounts/index.js';
import { Id } from '../common/ids.js';
import { ClassWeightsService } from './class-weights.service.js';
import { MendsService } from './mends.service.js';
import { ClassInsightService } from './class-insight.service.js';

/** What the maps of a class say together. */
@Controller()
export class ClassInsightController {
  constructor(
    private readonly insight: ClassInsightService,
    private readonly learned: ClassWeightsService,
    private readonly mends: MendsService,
  ) {}

  @For('teacher')
  @Get('publications/:id/weights')
  weights(@Who() { account }: SignedIn, @Id() id: string): Promise<ClassWeights> {
    return this.learned.of(id, account.id);
  }

  /** The fewest edits that would meet a requirement on one map; for the teacher's eyes. */
  @For('teacher')
  @Get('submissions/:id/mend')
  mend(
    @Who() { account }: SignedIn,
    @Id() id: string,
    @Query('requirement') requirement: unknown,
  ): Promise<{ mend: SmallestMend | null }> {
    return this.mends.of(id, String(requirement), account.id);
  }

  @For('teacher')
  @Get('publications/:id/insight')
  of(@Who() { account }: SignedIn, @Id() id: string): Promise<ClassInsight> {
    return this.insight.of(id, account.id);
  }

  /** Before a unit and after it: this assignment beside an earlier one. */
  @For('teacher')
  @Get('publications/:id/since/:earlierId')
  since(@Who() { account }: SignedIn, @Id() id: string, @Id('earlierId') earlier: string): Promise<Growth[]> {
    return this.insight.between(id, earlier, account.id);
  }

  @For('teacher')
  @Get('classes/:id/stays-hard')
  staysHard(@Who() { account }: SignedIn, @Id() id: string): Promise<StaysHard> {
    return this.insight.staysHard(id, account.id);
  }

  @For('teacher')
  @Get('publications/:id/growth')
  growth(@Who() { account }: SignedIn, @Id() id: string): Promise<Growth[]> {
    return this.insight.growth(id, account.id);
  }
}
