/** What other folders may use of this one. */
export { SaveAs } from './save-as';
