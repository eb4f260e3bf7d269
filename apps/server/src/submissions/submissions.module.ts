import { Module } from '@nestjs/common';
import { AccountsModule } from '../accounts/index.js';
import { ActsModule } from '../acts/index.js';
import { AssignmentsModule } from '../assignments/index.js';
import { ClassesModule } from '../classes/index.js';
import { LiveModule } from '../live/index.js';
import { ChecksModule } from '../checks/index.js';
import { WorksModule } from '../works/index.js';
import { AnswerChecks } from './answer-checks.service.js';
import { BringInService } from './bring-in.service.js';
import { HandInService } from './hand-in.service.js';
import { SubmissionsController } from './submissions.controller.js';
import { SubmissionsService } from './submissions.service.js';
import { WorkPages } from './work-pages.service.js';
import { SubmissionsKeeper } from './submissions.keeper.js';

@Module({
  imports: [AccountsModule, ActsModule, AssignmentsModule, ClassesModule, LiveModule, ChecksModule, WorksModule],
  controllers: [SubmissionsController],
  providers: [SubmissionsKeeper, AnswerChecks, BringInService, HandInService, SubmissionsService, WorkPages],
  exports: [SubmissionsKeeper, HandInService, SubmissionsService],
})
export class SubmissionsModule {}
