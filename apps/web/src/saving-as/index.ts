/** What other folders may use of this one. */
export { copyAs, COPIES } from './copy-as';
export type { CopyForm } from './copy-as';
export { SaveAsDialog } from './save-as-dialog';
