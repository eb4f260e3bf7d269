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

@Module({
  imports: [AccountsModule, ActsModule, AssignmentsModule, ClassesModule, LiveModule],
  controllers: [SheetsController],
  providers: [SheetsService, PublicationsService, TrialMapsService],
  exports: [SheetsService, PublicationsService],
})
export class SheetsModule {}
