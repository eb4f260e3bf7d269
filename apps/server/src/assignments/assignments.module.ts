import { Module } from '@nestjs/common';
import { AccountsModule } from '../accounts/index.js';
import { ClassesModule } from '../classes/index.js';
import { AssignmentsController } from './assignments.controller.js';
import { AssignmentsService } from './assignments.service.js';
import { DueTimes } from './due-times.service.js';
import { Revisions } from './revisions.service.js';
import { AssignmentsKeeper } from './assignments.keeper.js';

@Module({
  imports: [AccountsModule, ClassesModule],
  controllers: [AssignmentsController],
  providers: [AssignmentsKeeper, AssignmentsService, DueTimes, Revisions],
  exports: [AssignmentsKeeper, AssignmentsService, DueTimes, Revisions],
})
export class AssignmentsModule {}
