/** What other folders may use of this one. */
export { TookTooLong, WorkerPool } from './worker-pool.js';
export type { Lane, Run } from './worker-pool.js';
export { WorkersModule } from './workers.module.js';
