import { Module } from '@nestjs/common';
import { AccountsModule } from '../accounts/index.js';
import { ClassesModule } from '../classes/index.js';
import { TogetherModule } from '../together/index.js';
import { ClassInsightController } from './class-insight.controller.js';
import { ClassInsightService } from './class-insight.service.js';

@Module({
  imports: [AccountsModule, ClassesModule, TogetherModule],
  controllers: [ClassInsightController],
  providers: [ClassInsightService],
})
export class ClassInsightModule {}
