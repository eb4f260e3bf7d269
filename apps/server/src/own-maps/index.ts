/** What other folders may use of this one. */
export { OwnMap } from './own-map.entity.js';
export { OwnMapsModule } from './own-maps.module.js';
export { OwnMapsService } from './own-maps.service.js';
export { OwnMapsKeeper } from './own-maps.keeper.js';
