import { snapshotOf } from '@ichnograph/livemap';
import type { Snapshot } from '@ichnograph/livemap';
import '../workers/thread.js';
import { documentOf } from './document-of.js';

/** What a document says whose stored pieces these are. */
export const snapshot = ({ pieces }: { pieces: Uint8Array[] }): Snapshot => snapshotOf(documentOf(pieces));
