import { Module } from '@nestjs/common';
import { WorkerPool } from './worker-pool.js';

@Module({ providers: [WorkerPool], exports: [WorkerPool] })
export class WorkersModule {}
