export {
  countersOf,
  fillDocument,
  SCHEMA_VERSION,
  setCounter,
  snapshotOf,
  SnapshotReader,
  upgradeDocument,
  writeChanges,
} from './document.js';
export type { Snapshot } from './document.js';
export { lookAtUpdate } from './misfit.js';
export type { Misfit } from './misfit.js';
export { LiveMap } from './live-map.js';
export { mergedWords } from './written.js';
export type { Merged } from './written.js';
