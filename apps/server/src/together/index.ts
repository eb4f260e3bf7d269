/** What other folders may use of this one. */
export { ClassReadings } from './class-readings.service.js';
export type { ReadClass } from './class-readings.service.js';
export { TogetherModule } from './together.module.js';
