/** What other folders may use of this one. */
export { MapVersion } from './map-version.entity.js';
export { VersionsModule } from './versions.module.js';
export { VersionsService } from './versions.service.js';
export { VersionsKeeper } from './versions.keeper.js';
