/**
 * What this browser keeps of live maps, for when the connection is gone: one IndexedDB database a person and work, so
 * that a shared machine shows nobody another person's map, and a note of which hold changes the server has not got.
 */
const PREFIX = 'ichnograph:';
const unsentKey = (accountId: string, workId: string): string => `${PREFIX}${accountId}:unsent:${workId}`;

export const databaseOf = (accountId: string, workId: string): string => `${PREFIX}${accountId}:${workId}`;

export function noteUnsent(accountId: string, workId: string, unsent: boolean): void {
  if (unsent) localStorage.setItem(unsentKey(accountId, workId), '1');
  else localStorage.removeItem(unsentKey(accountId, workId));
}

export const hasUnsent = (accountId: string): boolean =>
  Object.keys(localStorage).some((key) => key.startsWith(`${PREFIX}${accountId}:unsent:`));

/** Forgets everything this browser keeps for a person. */
export async function forget(accountId: string): Promise<void> {
  const mine = `${PREFIX}${accountId}:`;
  for (const key of Object.keys(localStorage)) if (key.startsWith(mine)) localStorage.removeItem(key);
  sessionStorage.clear();
  const databases = await indexedDB.databases();
  await Promise.all(databases.flatMap(({ name }) => (name?.startsWith(mine) ? [deleted(name)] : [])));
}

const deleted = (name: string): Promise<void> =>
  new Promise((resolve, reject) => {
    const request = indexedDB.deleteDatabase(name);
    request.onsuccess = () => resolve();
    // Another tab has it open; that tab loses its session too and the database goes when it closes.
    request.onblocked = () => resolve();
    request.onerror = () => reject(request.error ?? new Error(`${name} could not be deleted`));
  });
