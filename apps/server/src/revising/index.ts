/** What other folders may use of this one. */
export { RevisingModule } from './revising.module.js';
