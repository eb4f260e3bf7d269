/** What other folders may use of this one. */
export { SharedPage } from './shared-page.entity.js';
export { SharedPagesService } from './shared-pages.service.js';
export { SharedPagesKeeper } from './shared-pages.keeper.js';
export { SharedPagesModule } from './shared-pages.module.js';
