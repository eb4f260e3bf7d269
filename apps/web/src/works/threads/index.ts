export { BesideMap, CommentsSign } from './beside-map';
export type { Beside } from './beside-map';
export { ThreadsPanel } from './threads-panel';
export { useThreads } from './use-threads';
export type { Threads } from './use-threads';
