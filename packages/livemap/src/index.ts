export {
  countersOf,
  fillDocument,
  SCHEMA_VERSION,
  setCounter,
  snapshotOf,
  SnapshotReader,
  writeChanges,
} from './document.js';
export type { Snapshot } from './document.js';
export { lookAtUpdate } from './misfit.js';
export type { Misfit } from './misfit.js';
export { LiveMap } from './live-map.js';
