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
export { LiveMap } from './live-map.js';
