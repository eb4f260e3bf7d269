/** What other folders may use of this one. */
export { Drawings } from './drawings.service.js';
export { PapersModule } from './papers.module.js';
