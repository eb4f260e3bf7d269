import { Body, Controller, Delete, Get, HttpCode, Param, Post } from '@nestjs/common';
import { NewClass, NewEnrolment } from '@ichnograph/contract';
import type { ClassRow, RosterEntry } from '@ichnograph/contract';
import { For, Who } from '../accounts/index.js';
import type { SignedIn } from '../accounts/index.js';
import { notFound } from '../common/problem.js';
import { ClassesService } from './classes.service.js';

@Controller('classes')
export class ClassesController {
  constructor(private readonly classes: ClassesService) {}

  @Get()
  list(@Who() { account }: SignedIn): Promise<ClassRow[]> {
    return this.classes.list(account);
  }

  @For('administrator')
  @Post()
  async create(@Body() { name }: NewClass): Promise<ClassRow> {
    const { id } = await this.classes.create(name);
    return { id, name, students: 0 };
  }

  @For('administrator', 'teacher')
  @Get(':id/people')
  async roster(@Who() { account }: SignedIn, @Param('id') id: string): Promise<RosterEntry[]> {
    if (account.role !== 'administrator' && !(await this.classes.isStaff(id, account.id))) throw notFound('class');
    return this.classes.roster(id);
  }

  @For('administrator')
  @Post(':id/people')
  @HttpCode(204)
  enrol(@Param('id') id: string, @Body() wanted: NewEnrolment): Promise<void> {
    return this.classes.enrol(id, wanted);
  }

  @For('administrator')
  @Delete(':id/people/:accountId')
  @HttpCode(204)
  leave(@Param('id') id: string, @Param('accountId') accountId: string): Promise<void> {
    return this.classes.leave(id, accountId);
  }
}
