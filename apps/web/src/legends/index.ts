/** What other folders may use of this one. */
export { ListMenu } from './kinds';
export { LegendEditor } from './legend-editor';
