/** What other folders may use of this one. */
export { OpenMap } from './map-page';
export { ChooseOwnMap } from './dialogs/choose-own-map';
export type { DrawnMap } from './drawn-map';
export type { MapSource } from './use-live-work';
