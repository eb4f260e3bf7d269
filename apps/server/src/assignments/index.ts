/** What other folders may use of this one. */
export { Assignment } from './assignment.entity.js';
export { AssignmentsController } from './assignments.controller.js';
export { AssignmentsService, bodyOf } from './assignments.service.js';
export { Publication } from './publication.entity.js';
export { Revision } from './revision.entity.js';
