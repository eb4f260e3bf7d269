/** What other folders may use of this one. */
export { readDocumentName } from './document-names.js';
export { filledWith } from './filled.js';
export { LiveDocument } from './live-document.entity.js';
export { LiveUpdate } from './live-update.entity.js';
export { LiveModule } from './live.module.js';
export { LiveService } from './live.service.js';
export type { Right } from './live.service.js';
export { Snapshots } from './snapshots.service.js';
export { UpdateLog } from './update-log.js';
