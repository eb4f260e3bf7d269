import { Module } from '@nestjs/common';
import { AccountsModule } from '../accounts/index.js';
import { ActsModule } from '../acts/index.js';
import { ClassesController } from './classes.controller.js';
import { ClassesService } from './classes.service.js';
import { RostersService } from './rosters.service.js';

@Module({
  imports: [AccountsModule, ActsModule],
  controllers: [ClassesController],
  providers: [ClassesService, RostersService],
  exports: [ClassesService],
})
export class ClassesModule {}
