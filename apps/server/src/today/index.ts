/** What other folders may use of this one. */
export { TodayController } from './today.controller.js';
export { TodayService } from './today.service.js';
