import { IndexeddbPersistence } from 'y-indexeddb';
import type * as Y from 'yjs';
import { PREFIX } from './unsent';

/**
 * What this browser keeps of live maps, for when the connection is gone: one IndexedDB database a person and work, so
 * that a shared machine shows nobody another person's map, and a note of which hold changes the server has not got.
 */
const databaseOf = (accountId: string, workId: string): string => `${PREFIX}${accountId}:${workId}`;

export interface Kept {
  /** whether this browser does keep the map: it may be told not to, or have no room */
  isKept: () => boolean;
  destroy: () => void;
}

/** Keeps a document in this browser as long as it is open. `onChange` is told when it turns out whether that works. */
export function keep(accountId: string, workId: string, doc: Y.Doc, onChange: () => void): Kept {
  let [kept, persistence] = [false, null as IndexeddbPersistence | null];
  void canKeep().then((can) => {
    if (!can || persistence === GONE) return;
    persistence = new IndexeddbPersistence(databaseOf(accountId, workId), doc);
    void persistence.whenSynced.then(() => {
      kept = true;
      onChange();
    });
  });
  return {
    isKept: () => kept,
    destroy: () => {
      if (persistence && persistence !== GONE) void persistence.destroy();
      persistence = GONE;
    },
  };
}
/** Stands for a page that was left before it was known whether anything can be kept. */
const GONE = {} as IndexeddbPersistence;

/** Whether a database can be opened and written at all: a browser that keeps nothing refuses here. */
const canKeep = (): Promise<boolean> =>
  new Promise((resolve) => {
    try {
      const request = indexedDB.open(`${PREFIX}can`);
      request.onerror = () => resolve(false);
      request.onsuccess = () => {
        request.result.close();
        indexedDB.deleteDatabase(`${PREFIX}can`);
        resolve(true);
      };
    } catch {
      // Some browsers throw where storage is forbidden; that is the answer.
      resolve(false);
    }
  });
