/** What other folders may use of this one. */
export { PapersModule } from './papers.module.js';
