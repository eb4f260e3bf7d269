/** What other folders may use of this one. */
export { Act } from './act.entity.js';
export { ActsModule } from './acts.module.js';
export { Acts } from './acts.service.js';
export type { Named } from './acts.service.js';
export { Acting, actOf } from './named.decorator.js';
