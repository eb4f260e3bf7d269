/** What other folders may use of this one. */
export { ClassReadings } from './readings.service.js';
export type { ReadClass } from './readings.service.js';
export { ClassReadingsModule } from './class-readings.module.js';
