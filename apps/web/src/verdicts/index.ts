/** What other folders may use of this one. */
export { GiveVerdictRow } from './give-verdict-row';
export type { Given } from './give-verdict-row';
export { VerdictSign } from './verdict-sign';
