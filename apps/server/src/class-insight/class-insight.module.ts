import { Module } from '@nestjs/common';
import { AccountsModule } from '../accounts/index.js';
import { AssignmentsModule } from '../assignments/index.js';
import { ClassesModule } from '../classes/index.js';
import { MarkingModule } from '../marking/index.js';
import { SubmissionsModule } from '../submissions/index.js';
import { ClassReadingsModule } from '../class-readings/index.js';
import { WorkersModule } from '../workers/index.js';
import { ClassInsightController } from './class-insight.controller.js';
import { ClassWeightsService } from './class-weights.service.js';
import { MendsService } from './mends.service.js';
import { ClassInsightService } from './class-insight.service.js';

@Module({
  imports: [
    AccountsModule,
    ClassesModule,
    AssignmentsModule,
    MarkingModule,
    SubmissionsModule,
    ClassReadingsModule,
    WorkersModule,
  ],
  controllers: [ClassInsightController],
  providers: [ClassInsightService, ClassWeightsService, MendsService],
})
export class ClassInsightModule {}
