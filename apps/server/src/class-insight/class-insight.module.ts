import { Module } from '@nestjs/common';
import { AccountsModule } from '../accounts/index.js';
import { MarkingModule } from '../marking/index.js';
import { TogetherModule } from '../together/index.js';
import { ClassInsightController } from './class-insight.controller.js';
import { ClassInsightService } from './class-insight.service.js';

@Module({
  imports: [AccountsModule, MarkingModule, TogetherModule],
  controllers: [ClassInsightController],
  providers: [ClassInsightService],
})
export class ClassInsightModule {}
