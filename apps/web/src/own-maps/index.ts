/** What other folders may use of this one. */
export { ChooseOwnMap } from './choose-own-map';
