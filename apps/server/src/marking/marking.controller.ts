import { Body, Controller, Delete, Get, Param, Patch, Post } from '@nestjs/common';
import { ChangeComment, NewComment } from '@ichnograph/contract';
import type { Pile, SubmissionDetail } from '@ichnograph/contract';
import { For, Who } from '../accounts/index.js';
import type { SignedIn } from '../accounts/index.js';
import { SubmissionsService } from '../submissions/index.js';
import { MarkingService } from './marking.service.js';
import { PileService } from './pile.service.js';

@For('teacher')
@Controller()
export class MarkingController {
  constructor(
    private readonly marking: MarkingService,
    private readonly piles: PileService,
    private readonly submissions: SubmissionsService,
  ) {}

  @Get('publications/:id/pile')
  pile(@Who() { account }: SignedIn, @Param('id') id: string): Promise<Pile> {
    return this.piles.pile(id, account.id);
  }

  @Post('submissions/:id/comments')
  async comment(
    @Who() { account }: SignedIn,
    @Param('id') id: string,
    @Body() wanted: NewComment,
  ): Promise<SubmissionDetail> {
    await this.marking.addComment(id, wanted, account);
    return this.submissions.detail(id, account);
  }

  @Patch('comments/:id')
  async change(
    @Who() { account }: SignedIn,
    @Param('id') id: string,
    @Body() { text }: ChangeComment,
  ): Promise<SubmissionDetail> {
    return this.submissions.detail(await this.marking.changeComment(id, text, account), account);
  }

  @Delete('comments/:id')
  async remove(@Who() { account }: SignedIn, @Param('id') id: string): Promise<SubmissionDetail> {
    return this.submissions.detail(await this.marking.removeComment(id, account), account);
  }

  @Post('submissions/:id/return')
  async return(@Who() { account }: SignedIn, @Param('id') id: string): Promise<SubmissionDetail> {
    await this.marking.return(id, account);
    return this.submissions.detail(id, account);
  }
}
