import { Module } from '@nestjs/common';
import { ClassesModule } from '../classes/index.js';
import { MarkingModule } from '../marking/index.js';
import { TodayController } from './today.controller.js';
import { TodayService } from './today.service.js';

@Module({
  imports: [ClassesModule, MarkingModule],
  controllers: [TodayController],
  providers: [TodayService],
})
export class TodayModule {}
