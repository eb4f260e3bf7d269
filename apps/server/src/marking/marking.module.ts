import { Module } from '@nestjs/common';
import { AccountsModule } from '../accounts/index.js';
import { ActsModule } from '../acts/index.js';
import { AssignmentsModule } from '../assignments/index.js';
import { ClassesModule } from '../classes/index.js';
import { LiveModule } from '../live/index.js';
import { SubmissionsModule } from '../submissions/index.js';
import { ClassReadingsModule } from '../class-readings/index.js';
import { WorksModule } from '../works/index.js';
import { Comments } from './comments.service.js';
import { JudgingService } from './judging.service.js';
import { Markable } from './markable.service.js';
import { MarkingController } from './marking.controller.js';
import { PileService } from './pile.service.js';
import { RemarksController } from './remarks.controller.js';
import { Remarks } from './remarks.service.js';
import { SecondMarkingController } from './second-marking.controller.js';
import { SecondMarkingService } from './second-marking.service.js';
import { Threads } from './threads.service.js';
import { Sums } from './sums.service.js';
import { Returning } from './returning.service.js';
import { VerdictsController } from './verdicts.controller.js';
import { Verdicts } from './verdicts.service.js';
import { MarkingKeeper } from './marking.keeper.js';

@Module({
  imports: [
    AccountsModule,
    ActsModule,
    AssignmentsModule,
    ClassesModule,
    LiveModule,
    SubmissionsModule,
    ClassReadingsModule,
    WorksModule,
  ],
  controllers: [MarkingController, RemarksController, SecondMarkingController, VerdictsController],
  providers: [
    MarkingKeeper,
    Comments,
    JudgingService,
    Markable,
    PileService,
    Remarks,
    Returning,
    SecondMarkingService,
    Sums,
    Threads,
    Verdicts,
  ],
  exports: [
    MarkingKeeper,
    Markable,
    Comments,
    JudgingService,
    PileService,
    Remarks,
    Returning,
    Sums,
    Threads,
    Verdicts,
  ],
})
export class MarkingModule {}
