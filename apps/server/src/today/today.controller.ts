import { Controller, Get } from '@nestjs/common';
import type { StudentTask, TaskOnMap, TeacherTask } from '@ichnograph/contract';
import { For, Who } from '../accounts/index.js';
import type { SignedIn } from '../accounts/index.js';
import { TodayService } from './today.service.js';

@Controller('today')
export class TodayController {
  constructor(private readonly today: TodayService) {}

  @For('student')
  @Get('student')
  forStudent(@Who() { account }: SignedIn): Promise<StudentTask[]> {
    return this.today.forStudent(account.id);
  }

  @For('student')
  @Get('tasks')
  tasks(@Who() { account }: SignedIn): Promise<TaskOnMap[]> {
    return this.today.tasks(account.id);
  }

  @For('teacher')
  @Get('teacher')
  forTeacher(@Who() { account }: SignedIn): Promise<TeacherTask[]> {
    return this.today.forTeacher(account.id);
  }
}
