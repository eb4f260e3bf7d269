import { Module } from '@nestjs/common';
import { AccountsModule } from '../accounts/index.js';
import { ActsModule } from '../acts/index.js';
import { AssignmentsModule } from '../assignments/index.js';
import { ClassesModule } from '../classes/index.js';
import { LiveModule } from '../live/index.js';
import { PublicationsService } from './publications.service.js';
import { SheetsController } from './sheets.controller.js';
import { SheetsService } from './sheets.service.js';
import { TrialMapsService } from './trial-maps.service.js';
import { SheetsKeeper } from './sheets.keeper.js';

@Module({
  imports: [AccountsModule, ActsModule, AssignmentsModule, ClassesModule, LiveModule],
  controllers: [SheetsController],
  providers: [SheetsKeeper, SheetsService, PublicationsService, TrialMapsService],
  exports: [SheetsKeeper, SheetsService, PublicationsService],
})
export class SheetsModule {}
