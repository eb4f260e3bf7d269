/** What other folders may use of this one. */
export { FileOwner } from './file-owner.entity.js';
export { FilesModule } from './files.module.js';
export { FilesService } from './files.service.js';
export { StoredFile } from './stored-file.entity.js';
export { FilesKeeper } from './files.keeper.js';
