/** What other folders may use of this one. */
export { BeginningsModule } from './beginnings.module.js';
export { ReadyMade } from './ready-made.entity.js';
export { StandingService } from './standing.service.js';
export { BeginningsKeeper } from './beginnings.keeper.js';
