/** What other folders may use of this one. */
export { MarkingController } from './marking.controller.js';
export { MarkingService } from './marking.service.js';
export { PileService } from './pile.service.js';
