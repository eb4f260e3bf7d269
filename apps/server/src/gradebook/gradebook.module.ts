import { Module } from '@nestjs/common';
import { AccountsModule } from '../accounts/index.js';
import { AssignmentsModule } from '../assignments/index.js';
import { ClassesModule } from '../classes/index.js';
import { MarkingModule } from '../marking/index.js';
import { GradebookController } from './gradebook.controller.js';
import { GradebookService } from './gradebook.service.js';

@Module({
  imports: [AccountsModule, AssignmentsModule, ClassesModule, MarkingModule],
  controllers: [GradebookController],
  providers: [GradebookService],
})
export class GradebookModule {}
