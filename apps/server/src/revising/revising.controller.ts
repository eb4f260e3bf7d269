import { Body, Controller, Get, HttpCode, Patch, Post } from '@nestjs/common';
import { ChangeAssignment, ChangePublication, Extend, Revise } from '@ichnograph/contract';
import type { ClassMap, RevisionPreview } from '@ichnograph/contract';
import { For, Who } from '../accounts/index.js';
import type { SignedIn } from '../accounts/index.js';
import { Acting } from '../acts/index.js';
import type { Named } from '../acts/index.js';
import { Id } from '../common/ids.js';
import { PublicationsService } from '../sheets/index.js';
import { RevisingService } from './revising.service.js';

/** What is changed about an assignment after it was given out. */
@Controller()
export class RevisingController {
  constructor(
    private readonly revising: RevisingService,
    private readonly publications: PublicationsService,
  ) {}

  @For('teacher')
  @Get('assignments/:id/next-revision')
  preview(@Who() { account }: SignedIn, @Id() id: string): Promise<RevisionPreview> {
    return this.revising.preview(id, account.id);
  }

  @For('teacher')
  @Get('assignments/:id/class-maps')
  classMaps(@Who() { account }: SignedIn, @Id() id: string): Promise<ClassMap[]> {
    return this.revising.classMaps(id, account.id);
  }

  @For('teacher')
  @Post('assignments/:id/next-revision')
  @HttpCode(204)
  revise(@Acting() named: Named, @Id() id: string, @Body() { returnedToo }: Revise): Promise<void> {
    return this.revising.revise(id, returnedToo ?? false, named);
  }

  @For('teacher')
  @Patch('assignments/:id')
  @HttpCode(204)
  changeAssignment(@Who() { account }: SignedIn, @Id() id: string, @Body() wanted: ChangeAssignment): Promise<void> {
    return this.revising.changeAssignment(id, wanted, account.id);
  }

  @For('teacher')
  @Patch('publications/:id')
  @HttpCode(204)
  change(@Who() { account }: SignedIn, @Id() id: string, @Body() wanted: ChangePublication): Promise<void> {
    return this.revising.changePublication(id, wanted, account.id);
  }

  @For('student')
  @Post('works/:id/news-read')
  @HttpCode(204)
  newsRead(@Who() { account }: SignedIn, @Id() id: string): Promise<void> {
    return this.revising.newsRead(id, account.id);
  }

  @For('teacher')
  @Post('publications/:id/extensions')
  @HttpCode(204)
  extend(@Who() { account }: SignedIn, @Id() id: string, @Body() wanted: Extend): Promise<void> {
    return this.publications.extend(id, wanted, account.id);
  }
}
