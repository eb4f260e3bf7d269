/** What other folders may use of this one. */
export { BringInDialog } from './bring-in-dialog';
export { isMapFile } from './is-map-file';
export { KindsFields } from './kinds-fields';
export { UnderstoodOtherwise } from './understood-otherwise';
