/** What other folders may use of this one. */
export { flagsOf, submissionRowOf } from './submission-rows.js';
export { Submission } from './submission.entity.js';
export { WorkMember } from './work-member.entity.js';
export { Work } from './work.entity.js';
export { WorksController } from './works.controller.js';
export { lockWork, mayHandIn, membersOf, nameOf, WorksService } from './works.service.js';
