/**
 * `saved`: a committed transaction on the server holds every change this browser has, deletions included.
 * `saving`: it is on its way. `offline`: no connection; changes are kept here. `adrift`: no connection, and this browser
 * keeps nothing: the changes are in this page alone. `not stored`: the server has them and cannot store them just now.
 * `not taken`: something was sent that the server does not take. `full`: the map is as large as it may be. `closed`: the
 * session ended or the work is not this person's any more.
 */
export type SaveState =
  'opening' | 'saved' | 'saving' | 'offline' | 'adrift' | 'not stored' | 'not taken' | 'full' | 'closed';

/** How many changes of each client (Y.js client id → count). */
export type Counters = Readonly<Record<string, number>>;

/** Whether what the server committed holds every change there is. */
export const isCovered = (all: Counters, stored: Counters): boolean =>
  Object.entries(all).every(([client, count]) => (stored[client] ?? 0) >= count);

/** What is committed after one more acknowledgement; one that was overtaken takes nothing back. */
export const withStored = (stored: Counters, acknowledged: Counters): Counters => ({
  ...stored,
  ...Object.fromEntries(
    Object.entries(acknowledged).map(([client, count]) => [client, Math.max(stored[client] ?? 0, count)]),
  ),
});

interface Known {
  /** the map has come, from this browser or from the server */
  isReady: boolean;
  /** why the server ended the connection for good */
  ended: 'closed' | 'full' | 'not taken' | null;
  isOpen: boolean;
  isCovered: boolean;
  /** this browser keeps a copy */
  isKept: boolean;
  /** the server said it cannot store just now, or has kept silent for long */
  isStuck: boolean;
}

/** What a person reads of whether their work is safe: never more than is known. */
export function saveStateOf({ isReady, ended, isOpen, isCovered, isKept, isStuck }: Known): SaveState {
  if (ended) return ended;
  if (!isReady) return 'opening';
  if (!isOpen) return isKept ? 'offline' : 'adrift';
  if (isCovered) return 'saved';
  return isStuck ? 'not stored' : 'saving';
}
