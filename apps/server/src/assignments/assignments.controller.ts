import { Body, Controller, Get, Param, Post, Res } from '@nestjs/common';
import { BringInAssignment, NewPublication } from '@ichnograph/contract';
import type { AssignmentDetail, AssignmentRow } from '@ichnograph/contract';
import type { Response } from 'express';
import { For, Who } from '../accounts/index.js';
import type { SignedIn } from '../accounts/index.js';
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
  async bringIn(@Who() { account }: SignedIn, @Body() { file }: BringInAssignment): Promise<AssignmentDetail> {
    const { id } = await this.assignments.bringIn(file, account);
    return this.assignments.detail(id, account);
  }

  @Get(':id')
  detail(@Who() { account }: SignedIn, @Param('id') id: string): Promise<AssignmentDetail> {
    return this.assignments.detail(id, account);
  }

  /** The assignment written out again, as a file to keep or pass on. */
  @Get(':id/file')
  async file(@Who() { account }: SignedIn, @Param('id') id: string, @Res() response: Response): Promise<void> {
    const { file, title } = await this.assignments.detail(id, account);
    response.attachment(`${title.replace(/[^\p{L}\p{Nd} -]/gu, '').trim() || 'assignment'}.json`);
    response.type('application/json').send(`${JSON.stringify(file, null, 2)}\n`);
  }

  @Post(':id/publications')
  async publish(
    @Who() { account }: SignedIn,
    @Param('id') id: string,
    @Body() wanted: NewPublication,
  ): Promise<AssignmentDetail> {
    await this.assignments.publish(id, wanted, account);
    return this.assignments.detail(id, account);
  }
}
