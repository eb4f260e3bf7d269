/** What other folders may use of this one. */
export { Account } from './account.entity.js';
export { AccountsModule } from './accounts.module.js';
export { accountRowOf, AccountsService, personOf } from './accounts.service.js';
export { KnownDevice } from './known-device.entity.js';
export { School } from './school.entity.js';
export { SessionCookie } from './session-cookie.js';
export { Session } from './session.entity.js';
export { For, Open, Who } from './session.guard.js';
export { whoItIs } from './who-it-is.js';
export { SESSION_COOKIE, SessionsService } from './sessions.service.js';
export { Tries } from './tries.js';
export type { SignedIn } from './sessions.service.js';
export { AccountsKeeper } from './accounts.keeper.js';
