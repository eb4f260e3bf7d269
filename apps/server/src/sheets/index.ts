/** What other folders may use of this one. */
export { PublicationsService } from './publications.service.js';
export { SheetPart } from './sheet-part.entity.js';
export { SheetsModule } from './sheets.module.js';
export { SheetsService } from './sheets.service.js';
export { TrialMap } from './trial-map.entity.js';
export { SheetsKeeper } from './sheets.keeper.js';
