/** What other folders may use of this one. */
export { Checks } from './checks.service.js';
export { ChecksModule } from './checks.module.js';
