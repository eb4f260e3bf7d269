import { Body, Controller, Delete, Get, HttpCode, Post } from '@nestjs/common';
import { ShareAssignment } from '@ichnograph/contract';
import type { AssignmentRow } from '@ichnograph/contract';
import { For, Who } from '../accounts/index.js';
import type { SignedIn } from '../accounts/index.js';
import { Id } from '../common/ids.js';
import { AssignmentsService } from './assignments.service.js';

@For('teacher')
@Controller('assignments')
export class AssignmentsController {
  constructor(private readonly assignments: AssignmentsService) {}

  @Get()
  list(@Who() { account }: SignedIn): Promise<AssignmentRow[]> {
    return this.assignments.list(account);
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
