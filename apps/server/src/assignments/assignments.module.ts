import { Module } from '@nestjs/common';
import { AccountsModule } from '../accounts/index.js';
import { ClassesModule } from '../classes/index.js';
import { AssignmentsController } from './assignments.controller.js';
import { AssignmentsService } from './assignments.service.js';
import { DueTimes } from './due-times.service.js';
import { Revisions } from './revisions.service.js';

@Module({
  imports: [AccountsModule, ClassesModule],
  controllers: [AssignmentsController],
  providers: [AssignmentsService, DueTimes, Revisions],
  exports: [AssignmentsService, DueTimes, Revisions],
})
export class AssignmentsModule {}
