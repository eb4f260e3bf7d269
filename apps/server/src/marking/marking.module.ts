import { Module } from '@nestjs/common';
import { ActsModule } from '../acts/index.js';
import { ClassesModule } from '../classes/index.js';
import { SubmissionsModule } from '../submissions/index.js';
import { WorksModule } from '../works/index.js';
import { MarkingController } from './marking.controller.js';
import { MarkingService } from './marking.service.js';
import { PileService } from './pile.service.js';

@Module({
  imports: [ActsModule, ClassesModule, SubmissionsModule, WorksModule],
  controllers: [MarkingController],
  providers: [MarkingService, PileService],
  exports: [MarkingService, PileService],
})
export class MarkingModule {}
