/** What other folders may use of this one. */
export { HandInService } from './hand-in.service.js';
export { submissionRowOf } from './submission-rows.js';
export { LookedAt } from './looked-at.entity.js';
export { Submission } from './submission.entity.js';
export { SubmissionsModule } from './submissions.module.js';
export { SubmissionsService } from './submissions.service.js';
export { SubmissionsKeeper } from './submissions.keeper.js';
