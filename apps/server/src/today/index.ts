/** What other folders may use of this one. */
export { TodayModule } from './today.module.js';
