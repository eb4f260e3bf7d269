import { Module } from '@nestjs/common';
import { WorkersModule } from '../workers/index.js';
import { Checks } from './checks.service.js';

@Module({ imports: [WorkersModule], providers: [Checks], exports: [Checks] })
export class ChecksModule {}
