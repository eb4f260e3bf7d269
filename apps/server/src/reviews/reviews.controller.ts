import { Body, Controller, Delete, Get, HttpCode, Patch, Post, Put } from '@nestjs/common';
import { ChangeReviewRound, NewReviewRound, SaveReview } from '@ichnograph/contract';
import type { ReviewDetail, ReviewRounds, ReviewRow, ReviewTask } from '@ichnograph/contract';
import { For, Who } from '../accounts/index.js';
import type { SignedIn } from '../accounts/index.js';
import { Acting } from '../acts/index.js';
import type { Named } from '../acts/index.js';
import { Id } from '../common/ids.js';
import { BesideMarks } from './beside-marks.service.js';
import { ReviewsService } from './reviews.service.js';
import { RoundsService } from './rounds.service.js';

/** Looking at each other's maps. */
@Controller()
export class ReviewsController {
  constructor(
    private readonly rounds: RoundsService,
    private readonly reviews: ReviewsService,
    private readonly besideMarks: BesideMarks,
  ) {}

  @For('teacher')
  @Get('publications/:id/reviews')
  of(@Who() { account }: SignedIn, @Id() id: string): Promise<ReviewRounds> {
    return this.besideMarks.of(id, account.id);
  }

  @For('teacher')
  @Post('publications/:id/reviews')
  @HttpCode(204)
  begin(@Acting() named: Named, @Id() id: string, @Body() wanted: NewReviewRound): Promise<void> {
    return this.rounds.begin(id, wanted, named);
  }

  @For('teacher')
  @Patch('publications/:id/reviews')
  @HttpCode(204)
  change(@Who() { account }: SignedIn, @Id() id: string, @Body() wanted: ChangeReviewRound): Promise<void> {
    return this.rounds.change(id, wanted, account.id);
  }

  @For('teacher')
  @Delete('publications/:id/reviews')
  @HttpCode(204)
  remove(@Who() { account }: SignedIn, @Id() id: string): Promise<void> {
    return this.rounds.remove(id, account.id);
  }

  @For('teacher')
  @Post('publications/:id/reviews/hand-out')
  async more(@Who() { account }: SignedIn, @Id() id: string): Promise<{ handedOut: number }> {
    return { handedOut: await this.rounds.handOutMore(id, account.id) };
  }

  @For('teacher')
  @Post('publications/:id/reviews/release')
  @HttpCode(204)
  release(@Acting() named: Named, @Id() id: string): Promise<void> {
    return this.rounds.release(id, named);
  }

  @Get('submissions/:id/reviews')
  ofSubmission(@Who() { account }: SignedIn, @Id() id: string): Promise<ReviewRow[]> {
    return this.reviews.ofSubmission(id, account);
  }

  @For('student')
  @Get('reviews')
  tasks(@Who() { account }: SignedIn): Promise<ReviewTask[]> {
    return this.reviews.tasks(account.id);
  }

  @For('student')
  @Get('reviews/:id')
  detail(@Who() { account }: SignedIn, @Id() id: string): Promise<ReviewDetail> {
    return this.reviews.detail(id, account);
  }

  @For('student')
  @Put('reviews/:id')
  async save(@Who() { account }: SignedIn, @Id() id: string, @Body() given: SaveReview): Promise<{ version: number }> {
    return { version: await this.reviews.save(id, given, account) };
  }

  @For('student')
  @Post('reviews/:id/send')
  @HttpCode(204)
  send(@Who() { account }: SignedIn, @Id() id: string): Promise<void> {
    return this.reviews.send(id, account);
  }
}
