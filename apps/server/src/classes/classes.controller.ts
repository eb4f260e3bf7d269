import { Body, Controller, Delete, Get, HttpCode, Post } from '@nestjs/common';
import { NewClass, NewEnrolment } from '@ichnograph/contract';
import type { ClassRow, RosterEntry } from '@ichnograph/contract';
import { For, Who } from '../accounts/index.js';
import type { SignedIn } from '../accounts/index.js';
import { Acting, Acts } from '../acts/index.js';
import type { Named } from '../acts/index.js';
import { Id } from '../common/ids.js';
import { notFound } from '../common/problem.js';
import { ClassesService } from './classes.service.js';

@Controller('classes')
export class ClassesController {
  constructor(
    private readonly classes: ClassesService,
    private readonly acts: Acts,
  ) {}

  @Get()
  list(@Who() { account }: SignedIn): Promise<ClassRow[]> {
    return this.classes.list(account);
  }

  @For('administrator')
  @Post()
  async create(@Acting() named: Named, @Body() { name }: NewClass): Promise<ClassRow> {
    const id = await this.acts.once(named, 'make a class', async (manager) => {
      return (await this.classes.create(name, undefined, manager)).id;
    });
    return { id, name, students: 0 };
  }

  @For('administrator', 'teacher')
  @Get(':id/people')
  async roster(@Who() { account }: SignedIn, @Id() id: string): Promise<RosterEntry[]> {
    if (account.role !== 'administrator' && !(await this.classes.isStaff(id, account.id))) throw notFound('class');
    return this.classes.roster(id);
  }

  @For('administrator')
  @Post(':id/people')
  @HttpCode(204)
  async enrol(@Acting() named: Named, @Id() id: string, @Body() wanted: NewEnrolment): Promise<void> {
    await this.acts.once(named, 'enrol', async (manager) => {
      await this.classes.enrol(id, wanted, manager);
      return id;
    });
  }

  @For('administrator')
  @Delete(':id/people/:accountId')
  @HttpCode(204)
  leave(@Id() id: string, @Id('accountId') accountId: string): Promise<void> {
    return this.classes.leave(id, accountId);
  }
}
