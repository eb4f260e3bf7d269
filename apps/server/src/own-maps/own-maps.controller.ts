import { Body, Controller, Delete, Get, HttpCode, Patch, Post } from '@nestjs/common';
import { ChangeOwnMap, NewOwnMap } from '@ichnograph/contract';
import type { OwnMapDetail, OwnMapRow } from '@ichnograph/contract';
import { For, Who } from '../accounts/index.js';
import type { SignedIn } from '../accounts/index.js';
import { Acting } from '../acts/index.js';
import type { Named } from '../acts/index.js';
import { Id } from '../common/ids.js';
import { OwnMapsService } from './own-maps.service.js';

@For('student', 'teacher')
@Controller('own-maps')
export class OwnMapsController {
  constructor(private readonly maps: OwnMapsService) {}

  @Get()
  list(@Who() { account }: SignedIn): Promise<OwnMapRow[]> {
    return this.maps.list(account.id);
  }

  @Post()
  async begin(@Acting() named: Named, @Body() wanted: NewOwnMap): Promise<{ id: string }> {
    return { id: await this.maps.begin(wanted, named) };
  }

  @Get(':id')
  detail(@Who() { account }: SignedIn, @Id() id: string): Promise<OwnMapDetail> {
    return this.maps.detail(id, account.id);
  }

  @Patch(':id')
  @HttpCode(204)
  change(@Who() { account }: SignedIn, @Id() id: string, @Body() change: ChangeOwnMap): Promise<void> {
    return this.maps.change(id, change, account.id);
  }

  @Delete(':id')
  @HttpCode(204)
  remove(@Who() { account }: SignedIn, @Id() id: string): Promise<void> {
    return this.maps.remove(id, account.id);
  }
}
