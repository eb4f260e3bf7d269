/** What other folders may use of this one. */
export { forget, hasUnsent } from './unsent';
export { openLive } from './live-work';
export { useRoom } from './use-room';
export type { LiveWork } from './live-work';
export type { SaveState } from './save-state';
export type { WhoIsHere } from './who-is-here';
