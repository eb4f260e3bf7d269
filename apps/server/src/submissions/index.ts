/** What other folders may use of this one. */
export { CheckPool } from './check-pool.js';
export { Comment } from './comment.entity.js';
export { HandInService } from './hand-in.service.js';
export { SubmissionsController } from './submissions.controller.js';
export { SubmissionsService } from './submissions.service.js';
