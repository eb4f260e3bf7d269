import { Module } from '@nestjs/common';
import { AccountsModule } from '../accounts/index.js';
import { ActsModule } from '../acts/index.js';
import { AssignmentsModule } from '../assignments/index.js';
import { ClassReadingsModule } from '../class-readings/index.js';
import { ClassesModule } from '../classes/index.js';
import { MarkingModule } from '../marking/index.js';
import { SubmissionsModule } from '../submissions/index.js';
import { WorksModule } from '../works/index.js';
import { BesideMarks } from './beside-marks.service.js';
import { ReviewsController } from './reviews.controller.js';
import { ReviewsKeeper } from './reviews.keeper.js';
import { ReviewsService } from './reviews.service.js';
import { RoundsService } from './rounds.service.js';

@Module({
  imports: [
    AccountsModule,
    ActsModule,
    AssignmentsModule,
    ClassReadingsModule,
    ClassesModule,
    MarkingModule,
    SubmissionsModule,
    WorksModule,
  ],
  controllers: [ReviewsController],
  providers: [BesideMarks, ReviewsKeeper, ReviewsService, RoundsService],
  exports: [ReviewsKeeper, ReviewsService, RoundsService],
})
export class ReviewsModule {}
