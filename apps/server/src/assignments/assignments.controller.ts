import { Body, Controller, Delete, Get, HttpCode, Post, Res } from '@nestjs/common';
import { BringInAssignment, NewPublication, ShareAssignment } from '@ichnograph/contract';
import type { AssignmentDetail, AssignmentRow } from '@ichnograph/contract';
import type { Response } from 'express';
import { For, Who } from '../accounts/index.js';
import type { SignedIn } from '../accounts/index.js';
import { Acting } from '../acts/index.js';
import type { Named } from '../acts/index.js';
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

  @Post()
  async bringIn(
    @Who() { account }: SignedIn,
    @Acting() named: Named,
    @Body() { file }: BringInAssignment,
  ): Promise<AssignmentDetail> {
    return this.assignments.detail(await this.assignments.bringIn(file, named), account);
  }

  @Get(':id')
  detail(@Who() { account }: SignedIn, @Id() id: string): Promise<AssignmentDetail> {
    return this.assignments.detail(id, account);
  }

  /** The assignment written out again, as a file to keep or pass on. */
  @Get(':id/file')
  async file(@Who() { account }: SignedIn, @Id() id: string, @Res() response: Response): Promise<void> {
    const { file, title } = await this.assignments.detail(id, account);
    response.attachment(`${title.replace(/[^\p{L}\p{Nd} -]/gu, '').trim() || 'assignment'}.json`);
    response.type('application/json').send(`${JSON.stringify(file, null, 2)}\n`);
  }

  @Post(':id/publications')
  async publish(
    @Who() { account }: SignedIn,
    @Acting() named: Named,
    @Id() id: string,
    @Body() wanted: NewPublication,
  ): Promise<AssignmentDetail> {
    await this.assignments.publish(id, wanted, named);
    return this.assignments.detail(id, account);
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
