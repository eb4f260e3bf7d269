/** What other folders may use of this one. */
export { usePresenter } from './presenter';
export { ShownNow } from './shown-now';
