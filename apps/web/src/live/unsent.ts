import { keysHere, writeHere } from '../common/kept-here';

/** Whether this browser holds changes that the server has not got: known without the maps themselves. */
export const PREFIX = 'ichnograph:';
const unsentKey = (accountId: string, workId: string): string => `${PREFIX}${accountId}:unsent:${workId}`;

/** Where nothing may be kept there is nothing to warn of later: the page itself warns before it is left. */
export const noteUnsent = (accountId: string, workId: string, unsent: boolean): void =>
  writeHere(unsentKey(accountId, workId), unsent ? true : null);

export const hasUnsent = (accountId: string): boolean => keysHere(`${PREFIX}${accountId}:unsent:`).length > 0;

/** Forgets everything this browser keeps for a person. */
export async function forget(accountId: string): Promise<void> {
  const mine = `${PREFIX}${accountId}:`;
  for (const key of keysHere(mine)) writeHere(key, null);
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
