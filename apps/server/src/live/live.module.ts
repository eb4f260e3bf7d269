import { Module } from '@nestjs/common';
import { AccountsModule } from '../accounts/index.js';
import { ClassesModule } from '../classes/index.js';
import { LiveService } from './live.service.js';
import { UpdateLog } from './update-log.js';

@Module({
  imports: [AccountsModule, ClassesModule],
  providers: [UpdateLog, LiveService],
  exports: [UpdateLog, LiveService],
})
export class LiveModule {}
