import { Module } from '@nestjs/common';
import { AccountsModule } from '../accounts/index.js';
import { AssignmentsModule } from '../assignments/index.js';
import { ClassesModule } from '../classes/index.js';
import { LiveModule } from '../live/index.js';
import { WorksService } from './works.service.js';

@Module({
  imports: [AccountsModule, AssignmentsModule, ClassesModule, LiveModule],
  providers: [WorksService],
  exports: [WorksService],
})
export class WorksModule {}
