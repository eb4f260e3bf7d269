/** What other folders may use of this one. */
export { Assignment } from './assignment.entity.js';
export { AssignmentsModule } from './assignments.module.js';
export { AssignmentsService } from './assignments.service.js';
export { Collaborator } from './collaborator.entity.js';
export { DueTimes } from './due-times.service.js';
export { Extension } from './extension.entity.js';
export { Publication } from './publication.entity.js';
export { Revision } from './revision.entity.js';
export { Revisions } from './revisions.service.js';
export { AssignmentsKeeper } from './assignments.keeper.js';
