/** What other folders may use of this one. */
export { CheckPool } from './check-pool.js';
export { WorkerPool } from './worker-pool.js';
export { WorkersModule } from './workers.module.js';
