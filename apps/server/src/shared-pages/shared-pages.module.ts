import { Module } from '@nestjs/common';
import { AccountsModule } from '../accounts/index.js';
import { AssignmentsModule } from '../assignments/index.js';
import { LiveModule } from '../live/index.js';
import { OwnMapsModule } from '../own-maps/index.js';
import { PapersModule } from '../papers/index.js';
import { WorksModule } from '../works/index.js';
import { SharedPagesController } from './shared-pages.controller.js';
import { SharedPagesKeeper } from './shared-pages.keeper.js';
import { SharedPagesService } from './shared-pages.service.js';

@Module({
  imports: [AccountsModule, AssignmentsModule, LiveModule, OwnMapsModule, PapersModule, WorksModule],
  controllers: [SharedPagesController],
  providers: [SharedPagesKeeper, SharedPagesService],
  exports: [SharedPagesKeeper, SharedPagesService],
})
export class SharedPagesModule {}
