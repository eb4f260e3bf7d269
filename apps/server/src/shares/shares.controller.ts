import { Body, Controller, Delete, Get, HttpCode, Post } from '@nestjs/common';
import { NewShare } from '@ichnograph/contract';
import type { SharedMapDetail, SharedWithMe, ShareRow, Shares, ShareTargets } from '@ichnograph/contract';
import { For, Who } from '../accounts/index.js';
import type { SignedIn } from '../accounts/index.js';
import { Id } from '../common/ids.js';
import { SharesService } from './shares.service.js';

@For('student', 'teacher')
@Controller()
export class SharesController {
  constructor(private readonly shares: SharesService) {}

  @Get('shares')
  withMe(@Who() { account }: SignedIn): Promise<SharedWithMe[]> {
    return this.shares.withMe(account);
  }

  @Get('shares/targets')
  targets(@Who() { account }: SignedIn): Promise<ShareTargets> {
    return this.shares.targets(account);
  }

  @Get('shares/:id')
  detail(@Who() { account }: SignedIn, @Id() id: string): Promise<SharedMapDetail> {
    return this.shares.detail(id, account);
  }

  @Delete('shares/:id')
  @HttpCode(204)
  takeBack(@Who() { account }: SignedIn, @Id() id: string): Promise<void> {
    return this.shares.takeBack(id, account);
  }

  @Get('own-maps/:id/shares')
  ofOwn(@Who() { account }: SignedIn, @Id() id: string): Promise<Shares> {
    return this.shares.of({ kind: 'own', id }, account);
  }

  @Post('own-maps/:id/shares')
  makeOfOwn(@Who() { account }: SignedIn, @Id() id: string, @Body() wanted: NewShare): Promise<ShareRow> {
    return this.shares.make({ kind: 'own', id }, wanted, account);
  }

  @Get('works/:id/shares')
  ofWork(@Who() { account }: SignedIn, @Id() id: string): Promise<Shares> {
    return this.shares.of({ kind: 'work', id }, account);
  }

  @For('student')
  @Post('works/:id/shares')
  makeOfWork(@Who() { account }: SignedIn, @Id() id: string, @Body() wanted: NewShare): Promise<ShareRow> {
    return this.shares.make({ kind: 'work', id }, wanted, account);
  }
}
