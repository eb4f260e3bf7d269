import { Body, Controller, Delete, Get, HttpCode, Post, Put } from '@nestjs/common';
import { GoTo, NewShowing } from '@ichnograph/contract';
import type { ShowingDetail, ShowingRow } from '@ichnograph/contract';
import { For, Who } from '../accounts/index.js';
import type { SignedIn } from '../accounts/index.js';
import { Acting } from '../acts/index.js';
import type { Named } from '../acts/index.js';
import { Id } from '../common/ids.js';
import { ShowingsService } from './showings.service.js';

@For('student', 'teacher')
@Controller('showings')
export class ShowingsController {
  constructor(private readonly showings: ShowingsService) {}

  @Get()
  list(@Who() { account }: SignedIn): Promise<ShowingRow[]> {
    return this.showings.list(account.id);
  }

  @Post()
  async begin(
    @Who() { account }: SignedIn,
    @Acting() named: Named,
    @Body() wanted: NewShowing,
  ): Promise<{ id: string }> {
    return { id: await this.showings.begin(wanted, account, named) };
  }

  @Get(':id')
  detail(@Who() { account }: SignedIn, @Id() id: string): Promise<ShowingDetail> {
    return this.showings.detail(id, account);
  }

  @Put(':id/place')
  @HttpCode(204)
  go(@Who() { account }: SignedIn, @Id() id: string, @Body() where: GoTo): Promise<void> {
    return this.showings.go(id, where, account.id);
  }

  @Delete(':id')
  @HttpCode(204)
  end(@Who() { account }: SignedIn, @Id() id: string): Promise<void> {
    return this.showings.end(id, account.id);
  }
}
