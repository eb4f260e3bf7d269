import { Body, Controller, Delete, Get, HttpCode, Patch, Post, Put } from '@nestjs/common';
import { ChangeComment, Judge, NewComment, ReadComments, ReturnMaps, SettleComment } from '@ichnograph/contract';
import type { MarkDetail } from '@ichnograph/core';
import type {
  CommentRow,
  JudgementRow,
  MarkChangeRow,
  MarkerHere,
  Pile,
  ReturnedMaps,
  WorkComments,
} from '@ichnograph/contract';
import { For, Who } from '../accounts/index.js';
import type { SignedIn } from '../accounts/index.js';
import { Acting } from '../acts/index.js';
import type { Named } from '../acts/index.js';
import { Id } from '../common/ids.js';
import { Comments } from './comments.service.js';
import { JudgingService } from './judging.service.js';
import { Threads } from './threads.service.js';
import { PileService } from './pile.service.js';
import { Returning } from './returning.service.js';

@Controller()
export class MarkingController {
  constructor(
    private readonly said: Comments,
    private readonly threads: Threads,
    private readonly returning: Returning,
    private readonly piles: PileService,
    private readonly judging: JudgingService,
  ) {}

  @For('teacher')
  @Get('publications/:id/pile')
  pile(@Who() { account }: SignedIn, @Id() id: string): Promise<Pile> {
    return this.piles.pile(id, account.id);
  }

  @For('teacher')
  @Post('works/:id/here')
  @HttpCode(200)
  here(@Who() { account }: SignedIn, @Id() id: string): Promise<MarkerHere[]> {
    return this.piles.here(id, account.id);
  }

  @For('teacher')
  @Post('publications/:id/return-complete')
  @HttpCode(200)
  returnComplete(@Acting() named: Named, @Id() id: string, @Body() { letter }: ReturnMaps): Promise<ReturnedMaps> {
    return this.returning.returnComplete(id, named, letter);
  }

  @Get('submissions/:id/mark')
  async mark(@Who() { account }: SignedIn, @Id() id: string): Promise<{ mark: MarkDetail | null }> {
    return { mark: await this.judging.mark(id, account) };
  }

  @Get('submissions/:id/judgements')
  judgements(@Who() { account }: SignedIn, @Id() id: string): Promise<JudgementRow[]> {
    return this.judging.judgements(id, account);
  }

  @For('teacher')
  @Put('submissions/:id/judgements')
  @HttpCode(204)
  judge(@Who() { account }: SignedIn, @Id() id: string, @Body() wanted: Judge): Promise<void> {
    return this.judging.judge(id, wanted, account);
  }

  @For('teacher')
  @Get('submissions/:id/trail')
  trail(@Who() { account }: SignedIn, @Id() id: string): Promise<MarkChangeRow[]> {
    return this.judging.trail(id, account);
  }

  @Get('submissions/:id/comments')
  comments(@Who() { account }: SignedIn, @Id() id: string): Promise<CommentRow[]> {
    return this.said.comments(id, account);
  }

  @Get('works/:id/comments')
  ofWork(@Who() { account }: SignedIn, @Id() id: string): Promise<WorkComments> {
    return this.threads.of(id, account.id);
  }

  @Post('works/:id/comments')
  async begin(@Acting() named: Named, @Id() id: string, @Body() wanted: NewComment): Promise<{ id: string }> {
    return { id: await this.threads.begin(id, wanted, named) };
  }

  @Put('works/:id/comments/read')
  @HttpCode(204)
  read(@Who() { account }: SignedIn, @Id() id: string, @Body() { until }: ReadComments): Promise<void> {
    return this.threads.read(id, new Date(until), account.id);
  }

  @For('teacher')
  @Post('submissions/:id/comments')
  async add(
    @Who() { account }: SignedIn,
    @Acting() named: Named,
    @Id() id: string,
    @Body() wanted: NewComment,
  ): Promise<CommentRow> {
    return this.said.comment(await this.said.addComment(id, wanted, named), account);
  }

  @For('teacher')
  @Patch('comments/:id')
  async change(@Who() { account }: SignedIn, @Id() id: string, @Body() { text }: ChangeComment): Promise<CommentRow> {
    await this.said.changeComment(id, text, account);
    return this.said.comment(id, account);
  }

  @For('teacher')
  @Delete('comments/:id')
  @HttpCode(204)
  remove(@Who() { account }: SignedIn, @Id() id: string): Promise<void> {
    return this.said.removeComment(id, account);
  }

  @For('teacher')
  @Post('comments/:id/restore')
  async restore(@Who() { account }: SignedIn, @Id() id: string): Promise<CommentRow> {
    await this.said.restoreComment(id, account);
    return this.said.comment(id, account);
  }

  @Post('comments/:id/answers')
  @HttpCode(204)
  answer(@Acting() named: Named, @Id() id: string, @Body() { text }: ChangeComment): Promise<void> {
    return this.said.answer(id, text, named);
  }

  @Put('comments/:id/settled')
  @HttpCode(204)
  settle(@Who() { account }: SignedIn, @Id() id: string, @Body() { settled }: SettleComment): Promise<void> {
    return this.said.settle(id, settled, account.id);
  }

  @For('teacher')
  @Post('submissions/:id/return')
  @HttpCode(204)
  return(@Acting() named: Named, @Id() id: string, @Body() wanted: ReturnMaps): Promise<void> {
    return this.returning.return(id, named, wanted);
  }

  @For('teacher')
  @Post('submissions/:id/take-back')
  @HttpCode(204)
  takeBack(@Acting() named: Named, @Id() id: string): Promise<void> {
    return this.returning.takeBack(id, named);
  }

  @For('teacher')
  @Post('submissions/:id/let-go')
  @HttpCode(204)
  letGo(@Who() { account }: SignedIn, @Id() id: string): Promise<void> {
    return this.returning.letGo(id, account);
  }
}
