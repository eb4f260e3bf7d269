import { Module } from '@nestjs/common';
import { AccountsModule } from '../accounts/index.js';
import { ActsModule } from '../acts/index.js';
import { LiveModule } from '../live/index.js';
import { WorksModule } from '../works/index.js';
import { VersionsController } from './versions.controller.js';
import { VersionsService } from './versions.service.js';
import { VersionsKeeper } from './versions.keeper.js';

@Module({
  imports: [AccountsModule, ActsModule, LiveModule, WorksModule],
  controllers: [VersionsController],
  providers: [VersionsKeeper, VersionsService],
  exports: [VersionsKeeper, VersionsService],
})
export class VersionsModule {}
