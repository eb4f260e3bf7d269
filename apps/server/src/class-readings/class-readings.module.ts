import { Module } from '@nestjs/common';
import { AssignmentsModule } from '../assignments/index.js';
import { WorkersModule } from '../workers/index.js';
import { ClassReadings } from './readings.service.js';

@Module({ imports: [AssignmentsModule, WorkersModule], providers: [ClassReadings], exports: [ClassReadings] })
export class ClassReadingsModule {}
