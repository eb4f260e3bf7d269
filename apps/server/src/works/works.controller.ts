import { Controller, Get, HttpCode, Param, Post } from '@nestjs/common';
import type { StudentTask, TeacherTask, WorkDetail } from '@ichnograph/contract';
import { For, Who } from '../accounts/session.guard.js';
import type { SignedIn } from '../accounts/sessions.service.js';
import { TodayService } from './today.service.js';
import { WorksService } from './works.service.js';

@Controller()
export class WorksController {
  constructor(private readonly works: WorksService, private readonly today: TodayService) {}

  @For('student') @Get('today/student')
  forStudent(@Who() { account }: SignedIn): Promise<StudentTask[]> {
    return this.today.forStudent(account.id);
  }

  @For('teacher') @Get('today/teacher')
  forTeacher(@Who() { account }: SignedIn): Promise<TeacherTask[]> {
    return this.today.forTeacher(account.id);
  }

  @For('student') @Post('publications/:id/work')
  async begin(@Who() { account }: SignedIn, @Param('id') id: string): Promise<WorkDetail> {
    return this.works.detail(await this.works.begin(id, account), account);
  }

  @Get('works/:id')
  detail(@Who() { account }: SignedIn, @Param('id') id: string): Promise<WorkDetail> {
    return this.works.detail(id, account);
  }

  @For('student') @Post('works/:id/revise') @HttpCode(204)
  revise(@Who() { account }: SignedIn, @Param('id') id: string): Promise<void> {
    return this.works.revise(id, account);
  }
}
