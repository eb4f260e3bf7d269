import { Module } from '@nestjs/common';
import { AccountsModule } from '../accounts/index.js';
import { ActsModule } from '../acts/index.js';
import { AssignmentsModule } from '../assignments/index.js';
import { ClassesModule } from '../classes/index.js';
import { SheetsModule } from '../sheets/index.js';
import { BeginningsController } from './beginnings.controller.js';
import { ReadyMadeService } from './ready-made.service.js';
import { StandingService } from './standing.service.js';
import { BeginningsKeeper } from './beginnings.keeper.js';

@Module({
  imports: [AccountsModule, ActsModule, AssignmentsModule, ClassesModule, SheetsModule],
  controllers: [BeginningsController],
  providers: [BeginningsKeeper, ReadyMadeService, StandingService],
  exports: [BeginningsKeeper, StandingService, ReadyMadeService],
})
export class BeginningsModule {}
