/** What other folders may use of this one. */
export { Brief } from './brief';
