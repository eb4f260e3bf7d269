/** What other folders may use of this one. */
export { ClassesModule } from './classes.module.js';
export { ClassesService, STAFF } from './classes.service.js';
export { Enrolment } from './enrolment.entity.js';
export { SchoolClass } from './school-class.entity.js';
export { ClassesKeeper } from './classes.keeper.js';
