/** What other folders may use of this one. */
export { Share } from './share.entity.js';
export { SharesKeeper } from './shares.keeper.js';
export { SharesModule } from './shares.module.js';
export { SharesService } from './shares.service.js';
