import { Module } from '@nestjs/common';
import { AccountsModule } from '../accounts/index.js';
import { ActsModule } from '../acts/index.js';
import { AssignmentsModule } from '../assignments/index.js';
import { ClassesModule } from '../classes/index.js';
import { LiveModule } from '../live/index.js';
import { OwnMapsModule } from '../own-maps/index.js';
import { WorksModule } from '../works/index.js';
import { ShowingsController } from './showings.controller.js';
import { ShowingsKeeper } from './showings.keeper.js';
import { ShowingsService } from './showings.service.js';

@Module({
  imports: [AccountsModule, ActsModule, AssignmentsModule, ClassesModule, LiveModule, OwnMapsModule, WorksModule],
  controllers: [ShowingsController],
  providers: [ShowingsKeeper, ShowingsService],
  exports: [ShowingsKeeper],
})
export class ShowingsModule {}
