import { Module } from '@nestjs/common';
import { CheckPool } from './check-pool.js';
import { WorkerPool } from './worker-pool.js';

@Module({ providers: [CheckPool, WorkerPool], exports: [CheckPool, WorkerPool] })
export class WorkersModule {}
