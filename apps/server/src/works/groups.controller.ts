import { Body, Controller, Get, HttpCode, Put } from '@nestjs/common';
import { SetGroups } from '@ichnograph/contract';
import type { Groups } from '@ichnograph/contract';
import { For, Who } from '../accounts/index.js';
import type { SignedIn } from '../accounts/index.js';
import { Id } from '../common/ids.js';
import { GroupsService } from './groups.service.js';

@For('teacher')
@Controller('publications')
export class GroupsController {
  constructor(private readonly groups: GroupsService) {}

  @Get(':id/groups')
  of(@Who() { account }: SignedIn, @Id() id: string): Promise<Groups> {
    return this.groups.of(id, account.id);
  }

  @Put(':id/groups')
  @HttpCode(204)
  set(@Who() { account }: SignedIn, @Id() id: string, @Body() { groups }: SetGroups): Promise<void> {
    return this.groups.set(
      id,
      groups.map(({ members }) => members),
      account.id,
    );
  }
}
