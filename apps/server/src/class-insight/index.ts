/** What other folders may use of this one. */
export { ClassInsightModule } from './class-insight.module.js';
