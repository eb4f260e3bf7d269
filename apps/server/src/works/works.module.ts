import { Module } from '@nestjs/common';
import { AccountsModule } from '../accounts/index.js';
import { AssignmentsModule } from '../assignments/index.js';
import { ClassesModule } from '../classes/index.js';
import { LiveModule } from '../live/index.js';
import { GroupsController } from './groups.controller.js';
import { GroupsService } from './groups.service.js';
import { WorksService } from './works.service.js';

@Module({
  imports: [AccountsModule, AssignmentsModule, ClassesModule, LiveModule],
  controllers: [GroupsController],
  providers: [GroupsService, WorksService],
  exports: [GroupsService, WorksService],
})
export class WorksModule {}
