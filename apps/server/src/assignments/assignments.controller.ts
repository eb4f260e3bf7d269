import { Body, Controller, Delete, Get, HttpCode, Patch, Post } from '@nestjs/common';
import { ChangeAssignment, ShareAssignment } from '@ichnograph/contract';
import type { AssignmentRow } from '@ichnograph/contract';
import { For, Who } from '../accounts/index.js';
import type { SignedIn } from '../accounts/index.js';
import { Clock } from '../common/clock.js';
import { Id } from '../common/ids.js';
import { AssignmentsService } from './assignments.service.js';

@For('teacher')
@Controller('assignments')
export class AssignmentsController {
  constructor(
    private readonly assignments: AssignmentsService,
    private readonly clock: Clock,
  ) {}

  @Get()
  list(@Who() { account }: SignedIn): Promise<AssignmentRow[]> {
    return this.assignments.list(account);
  }

  @Patch(':id')
  @HttpCode(204)
  async change(@Who() { account }: SignedIn, @Id() id: string, @Body() { archived }: ChangeAssignment): Promise<void> {
    await this.assignments.changeable(id, account.id);
    if (archived !== undefined) await this.assignments.archive(id, archived ? this.clock.now() : null, account.id);
  }

  @Post(':id/collaborators')
  @HttpCode(204)
  share(@Who() { account }: SignedIn, @Id() id: string, @Body() { accountId }: ShareAssignment): Promise<void> {
    return this.assignments.share(id, accountId, account);
  }

  @Delete(':id/collaborators/:accountId')
  @HttpCode(204)
  unshare(@Who() { account }: SignedIn, @Id() id: string, @Id('accountId') accountId: string): Promise<void> {
    return this.assignments.unshare(id, accountId, account);
  }
}
