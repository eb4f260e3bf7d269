import { Body, Controller, Get, Post } from '@nestjs/common';
import { NameVersion } from '@ichnograph/contract';
import type { VersionRow } from '@ichnograph/contract';
import { For, Who } from '../accounts/index.js';
import type { SignedIn } from '../accounts/index.js';
import { Acting } from '../acts/index.js';
import type { Named } from '../acts/index.js';
import { Id } from '../common/ids.js';
import { VersionsService } from './versions.service.js';

@Controller()
export class VersionsController {
  constructor(private readonly versions: VersionsService) {}

  @Get('works/:id/versions')
  list(@Who() { account }: SignedIn, @Id() id: string): Promise<VersionRow[]> {
    return this.versions.list('work', id, account.id);
  }

  @For('student')
  @Post('works/:id/versions')
  name(@Acting() named: Named, @Id() id: string, @Body() { name }: NameVersion): Promise<VersionRow> {
    return this.versions.name('work', id, name, named);
  }

  @For('student', 'teacher')
  @Get('own-maps/:id/versions')
  listOfOwn(@Who() { account }: SignedIn, @Id() id: string): Promise<VersionRow[]> {
    return this.versions.list('own', id, account.id);
  }

  @For('student', 'teacher')
  @Post('own-maps/:id/versions')
  nameOfOwn(@Acting() named: Named, @Id() id: string, @Body() { name }: NameVersion): Promise<VersionRow> {
    return this.versions.name('own', id, name, named);
  }

  @Get('versions/:id')
  async map(@Who() { account }: SignedIn, @Id() id: string): Promise<{ map: unknown }> {
    return { map: await this.versions.mapOf(id, account.id) };
  }
}
