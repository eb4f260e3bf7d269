import { Module } from '@nestjs/common';
import { AccountsModule } from '../accounts/index.js';
import { ActsModule } from '../acts/index.js';
import { ClassesController } from './classes.controller.js';
import { ClassesService } from './classes.service.js';
import { RostersService } from './rosters.service.js';
import { ClassesKeeper } from './classes.keeper.js';

@Module({
  imports: [AccountsModule, ActsModule],
  controllers: [ClassesController],
  providers: [ClassesKeeper, ClassesService, RostersService],
  exports: [ClassesKeeper, ClassesService],
})
export class ClassesModule {}
