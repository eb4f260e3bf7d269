/** What other folders may use of this one. */
export { BringInMap } from './bring-in-map';
