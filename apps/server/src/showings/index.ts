/** What other folders may use of this one. */
export { Showing } from './showing.entity.js';
export { ShowingsKeeper } from './showings.keeper.js';
export { ShowingsModule } from './showings.module.js';
