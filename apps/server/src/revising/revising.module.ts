import { Module } from '@nestjs/common';
import { AccountsModule } from '../accounts/index.js';
import { ActsModule } from '../acts/index.js';
import { AssignmentsModule } from '../assignments/index.js';
import { ClassesModule } from '../classes/index.js';
import { LiveModule } from '../live/index.js';
import { MarkingModule } from '../marking/index.js';
import { SheetsModule } from '../sheets/index.js';
import { SubmissionsModule } from '../submissions/index.js';
import { ChecksModule } from '../checks/index.js';
import { WorksModule } from '../works/index.js';
import { Moves } from './moves.service.js';
import { RevisingController } from './revising.controller.js';
import { RevisingService } from './revising.service.js';

@Module({
  imports: [
    AccountsModule,
    ActsModule,
    AssignmentsModule,
    ClassesModule,
    LiveModule,
    SheetsModule,
    SubmissionsModule,
    ChecksModule,
    WorksModule,
    MarkingModule,
  ],
  controllers: [RevisingController],
  providers: [Moves, RevisingService],
})
export class RevisingModule {}
