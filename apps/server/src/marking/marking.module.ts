import { Module } from '@nestjs/common';
import { AccountsModule } from '../accounts/index.js';
import { ActsModule } from '../acts/index.js';
import { AssignmentsModule } from '../assignments/index.js';
import { ClassesModule } from '../classes/index.js';
import { SubmissionsModule } from '../submissions/index.js';
import { WorksModule } from '../works/index.js';
import { JudgingService } from './judging.service.js';
import { MarkingController } from './marking.controller.js';
import { MarkingService } from './marking.service.js';
import { PileService } from './pile.service.js';

@Module({
  imports: [AccountsModule, ActsModule, AssignmentsModule, ClassesModule, SubmissionsModule, WorksModule],
  controllers: [MarkingController],
  providers: [JudgingService, MarkingService, PileService],
  exports: [JudgingService, MarkingService, PileService],
})
export class MarkingModule {}
