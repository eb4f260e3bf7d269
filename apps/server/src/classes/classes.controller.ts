import { Body, Controller, Delete, Get, HttpCode, Post } from '@nestjs/common';
import {
  ArchiveClass,
  JoinClass,
  JoinCode,
  MoveStudent,
  NewClass,
  NewEnrolment,
  NewStudents,
} from '@ichnograph/contract';
import type { Card, ClassRow, KnownNames, Person, RosterEntry } from '@ichnograph/contract';
import { AccountsService, For, personOf, Who } from '../accounts/index.js';
import type { SignedIn } from '../accounts/index.js';
import { Acting, Acts } from '../acts/index.js';
import type { Named } from '../acts/index.js';
import { Clock } from '../common/clock.js';
import { Database } from '../common/database.js';
import { Id } from '../common/ids.js';
import { notFound } from '../common/problem.js';
import { ClassesService } from './classes.service.js';
import { Enrolment } from './enrolment.entity.js';
import { RostersService } from './rosters.service.js';

@Controller('classes')
export class ClassesController {
  constructor(
    private readonly classes: ClassesService,
    private readonly rosters: RostersService,
    private readonly accounts: AccountsService,
    private readonly acts: Acts,
    private readonly clock: Clock,
    private readonly data: Database,
  ) {}

  @Get()
  list(@Who() { account }: SignedIn): Promise<ClassRow[]> {
    return this.classes.list(account);
  }

  /** A class; a teacher who makes one teaches it. */
  @For('administrator', 'teacher')
  @Post()
  async create(@Who() { account }: SignedIn, @Acting() named: Named, @Body() { name }: NewClass): Promise<ClassRow> {
    const id = await this.acts.once(named, 'make a class', async () => {
      const made = await this.classes.create(name, undefined);
      if (account.role === 'teacher')
        await this.data.manager.insert(Enrolment, { classId: made.id, accountId: account.id, part: 'teacher' });
      return made.id;
    });
    return (await this.classes.list(account)).find((one) => one.id === id)!;
  }

  /** Those who can teach a class, for whoever puts them into one. */
  @For('administrator', 'teacher')
  @Get('colleagues')
  async colleagues(): Promise<Person[]> {
    return (await this.accounts.list()).filter(({ role }) => role === 'teacher').map(personOf);
  }

  @For('student')
  @Post('join')
  @HttpCode(200)
  async join(@Who() { account }: SignedIn, @Body() { code }: JoinClass): Promise<{ name: string }> {
    return { name: await this.rosters.join(code, account) };
  }

  @For('administrator', 'teacher')
  @Post(':id/join-code')
  @HttpCode(200)
  async joinCode(
    @Who() { account }: SignedIn,
    @Id() id: string,
    @Body() { open }: JoinCode,
  ): Promise<{ joinCode: string | null }> {
    return { joinCode: await this.rosters.setJoinCode(id, open, account) };
  }

  @For('administrator', 'teacher')
  @Post(':id/students')
  bringIn(
    @Who() { account }: SignedIn,
    @Acting() named: Named,
    @Id() id: string,
    @Body() wanted: NewStudents,
  ): Promise<Card[]> {
    return this.rosters.bringIn(id, wanted, account, named);
  }

  @For('administrator', 'teacher')
  @Post(':id/known-names')
  @HttpCode(200)
  async known(@Who() { account }: SignedIn, @Id() id: string, @Body() wanted: NewStudents): Promise<KnownNames> {
    return { known: await this.rosters.known(id, wanted, account) };
  }

  @For('administrator', 'teacher')
  @Post(':id/people/:accountId/reset-password')
  @HttpCode(200)
  resetPassword(@Who() { account }: SignedIn, @Id() id: string, @Id('accountId') accountId: string): Promise<Card> {
    return this.rosters.resetPassword(id, accountId, account);
  }

  @For('administrator', 'teacher')
  @Post(':id/people/:accountId/move')
  @HttpCode(204)
  move(
    @Who() { account }: SignedIn,
    @Acting() named: Named,
    @Id() id: string,
    @Id('accountId') accountId: string,
    @Body() { to }: MoveStudent,
  ): Promise<void> {
    return this.rosters.move(id, accountId, to, account, named);
  }

  @For('administrator', 'teacher')
  @Post(':id/archive')
  @HttpCode(204)
  async archive(@Who() { account }: SignedIn, @Id() id: string, @Body() { archived }: ArchiveClass): Promise<void> {
    await this.rosters.managed(id, account);
    await this.classes.archive(id, archived ? this.clock.now() : null);
  }

  @For('administrator', 'teacher')
  @Get(':id/people')
  async roster(@Who() { account }: SignedIn, @Id() id: string): Promise<RosterEntry[]> {
    if (account.role !== 'administrator' && !(await this.classes.isStaff(id, account.id))) throw notFound('class');
    return this.classes.roster(id);
  }

  @For('administrator', 'teacher')
  @Post(':id/people')
  @HttpCode(204)
  async enrol(
    @Who() { account }: SignedIn,
    @Acting() named: Named,
    @Id() id: string,
    @Body() wanted: NewEnrolment,
  ): Promise<void> {
    await this.rosters.managed(id, account);
    await this.acts.once(named, 'enrol', async () => {
      await this.classes.enrol(id, wanted, account);
      return id;
    });
    // Who has another part now may do otherwise, on open connections too.
    this.classes.left(wanted.accountId);
  }

  @For('administrator', 'teacher')
  @Delete(':id/people/:accountId')
  @HttpCode(204)
  leave(@Who() { account }: SignedIn, @Id() id: string, @Id('accountId') accountId: string): Promise<void> {
    return this.rosters.leave(id, accountId, account);
  }
}
