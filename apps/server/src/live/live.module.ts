import { Module } from '@nestjs/common';
import { AccountsModule } from '../accounts/index.js';
import { ClassesModule } from '../classes/index.js';
import { WorkersModule } from '../workers/index.js';
import { LiveService } from './live.service.js';
import { Snapshots } from './snapshots.service.js';
import { UpdateLog } from './update-log.js';

@Module({
  imports: [AccountsModule, ClassesModule, WorkersModule],
  providers: [UpdateLog, LiveService, Snapshots],
  exports: [UpdateLog, LiveService, Snapshots],
})
export class LiveModule {}
