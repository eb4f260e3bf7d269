import { Body, Controller, Get, HttpCode, Post } from '@nestjs/common';
import { writeMap } from '@ichnograph/core';
import type { Result } from '@ichnograph/core';
import { BringInMaps, HandIn } from '@ichnograph/contract';
import type { SubmissionDetail, WorkDetail } from '@ichnograph/contract';
import { For, Who } from '../accounts/index.js';
import type { SignedIn } from '../accounts/index.js';
import { Acting } from '../acts/index.js';
import type { Named } from '../acts/index.js';
import { Id } from '../common/ids.js';
import { WorksService } from '../works/index.js';
import { AnswerChecks } from './answer-checks.service.js';
import { BringInService } from './bring-in.service.js';
import { HandInService } from './hand-in.service.js';
import { SubmissionsService } from './submissions.service.js';
import { WorkPages } from './work-pages.service.js';

/** A work's way from its first mark to the teacher and back. */
@Controller()
export class SubmissionsController {
  constructor(
    private readonly works: WorksService,
    private readonly pages: WorkPages,
    private readonly answers: AnswerChecks,
    private readonly handIns: HandInService,
    private readonly broughtIn: BringInService,
    private readonly submissions: SubmissionsService,
  ) {}

  @For('student')
  @Post('publications/:id/work')
  async begin(@Who() { account }: SignedIn, @Id() id: string): Promise<WorkDetail> {
    return this.pages.detail(await this.works.begin(id, account), account);
  }

  @Get('works/:id')
  work(@Who() { account }: SignedIn, @Id() id: string): Promise<WorkDetail> {
    return this.pages.detail(id, account);
  }

  @For('student')
  @Post('works/:id/revise')
  @HttpCode(204)
  revise(@Who() { account }: SignedIn, @Id() id: string): Promise<void> {
    return this.works.revise(id, account);
  }

  /** What the server alone can check of a map as it is stored. */
  @For('student')
  @Get('works/:id/answer-checks')
  answerChecks(@Who() { account }: SignedIn, @Id() id: string): Promise<Result[]> {
    return this.answers.results(id, account);
  }

  @For('student')
  @Post('works/:id/hand-in')
  async handIn(
    @Who() { account }: SignedIn,
    @Acting() named: Named,
    @Id() id: string,
    @Body() wanted: HandIn,
  ): Promise<SubmissionDetail> {
    return this.submissions.detail(await this.handIns.handIn(id, wanted, named), account);
  }

  /** Maps that a class made elsewhere, handed in for it. */
  @For('teacher')
  @Post('brought-in/:id')
  @HttpCode(204)
  bringIn(@Acting() named: Named, @Id() id: string, @Body() wanted: BringInMaps): Promise<void> {
    return this.broughtIn.bringIn(id, wanted, named);
  }

  @Get('submissions/:id/reference')
  async reference(@Who() { account }: SignedIn, @Id() id: string): Promise<{ map: unknown }> {
    return { map: writeMap(await this.submissions.reference(id, account)) };
  }

  @Get('submissions/:id')
  detail(@Who() { account }: SignedIn, @Id() id: string): Promise<SubmissionDetail> {
    return this.submissions.detail(id, account);
  }
}
