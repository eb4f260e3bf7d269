/** What other folders may use of this one. */
export { OpenMap } from './map-page';
export type { MapSource } from './use-live-work';
