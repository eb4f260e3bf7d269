import { Module } from '@nestjs/common';
import { AssignmentsModule } from '../assignments/index.js';
import { ClassesModule } from '../classes/index.js';
import { LiveModule } from '../live/index.js';
import { MarkingModule } from '../marking/index.js';
import { WorksModule } from '../works/index.js';
import { TodayController } from './today.controller.js';
import { TodayService } from './today.service.js';

@Module({
  imports: [AssignmentsModule, ClassesModule, LiveModule, MarkingModule, WorksModule],
  controllers: [TodayController],
  providers: [TodayService],
})
export class TodayModule {}
