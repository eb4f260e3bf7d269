import { Module } from '@nestjs/common';
import { AccountsModule } from '../accounts/index.js';
import { AssignmentsModule } from '../assignments/index.js';
import { ClassesModule } from '../classes/index.js';
import { LiveModule } from '../live/index.js';
import { SharesModule } from '../shares/index.js';
import { GroupsController } from './groups.controller.js';
import { GroupsService } from './groups.service.js';
import { WorksService } from './works.service.js';
import { WorksKeeper } from './works.keeper.js';

@Module({
  imports: [AccountsModule, AssignmentsModule, ClassesModule, LiveModule, SharesModule],
  controllers: [GroupsController],
  providers: [WorksKeeper, GroupsService, WorksService],
  exports: [WorksKeeper, GroupsService, WorksService],
})
export class WorksModule {}
