import { Module } from '@nestjs/common';
import { AccountsModule } from '../accounts/index.js';
import { AssignmentsModule } from '../assignments/index.js';
import { FilesModule } from '../files/index.js';
import { MarkingModule } from '../marking/index.js';
import { SubmissionsModule } from '../submissions/index.js';
import { ClassReadingsModule } from '../class-readings/index.js';
import { WorkersModule } from '../workers/index.js';
import { Drawings } from './drawings.service.js';
import { Exports } from './exports.service.js';
import { PapersController } from './papers.controller.js';
import { Papers } from './papers.service.js';

@Module({
  imports: [
    AccountsModule,
    AssignmentsModule,
    FilesModule,
    MarkingModule,
    SubmissionsModule,
    ClassReadingsModule,
    WorkersModule,
  ],
  controllers: [PapersController],
  providers: [Drawings, Exports, Papers],
  exports: [Drawings],
})
export class PapersModule {}
