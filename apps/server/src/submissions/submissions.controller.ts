import { Body, Controller, Get, Param, Post } from '@nestjs/common';
import { HandIn } from '@ichnograph/contract';
import type { SubmissionDetail } from '@ichnograph/contract';
import { For, Who } from '../accounts/index.js';
import type { SignedIn } from '../accounts/index.js';
import { HandInService } from './hand-in.service.js';
import { SubmissionsService } from './submissions.service.js';

@Controller()
export class SubmissionsController {
  constructor(
    private readonly handIns: HandInService,
    private readonly submissions: SubmissionsService,
  ) {}

  @For('student')
  @Post('works/:id/hand-in')
  async handIn(
    @Who() { account }: SignedIn,
    @Param('id') id: string,
    @Body() wanted: HandIn,
  ): Promise<SubmissionDetail> {
    return this.submissions.detail(await this.handIns.handIn(id, wanted, account), account);
  }

  @Get('submissions/:id')
  detail(@Who() { account }: SignedIn, @Param('id') id: string): Promise<SubmissionDetail> {
    return this.submissions.detail(id, account);
  }
}
