/** What other folders may use of this one. */
export { GradebookModule } from './gradebook.module.js';
