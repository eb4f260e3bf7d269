import type { LiveMessage } from '@ichnograph/contract';
import { countersOf, LiveMap } from '@ichnograph/livemap';
import * as Y from 'yjs';
import { createStore } from 'zustand/vanilla';
import { Connection } from './connection';
import { keep, noteUnsent } from './kept';

/**
 * `saved`: a committed transaction on the server holds every change this browser has, deletions included.
 * `saving`: it is on its way. `offline`: no connection; changes are kept here. `adrift`: no connection, and this browser
 * keeps nothing: the changes are in this page alone. `not stored`: the server has them and cannot store them just now.
 * `not taken`: something was sent that the server does not take. `full`: the map is as large as it may be. `closed`: the session ended or the work is not this person's any more.
 */
export type SaveState =
  'opening' | 'saved' | 'saving' | 'offline' | 'adrift' | 'not stored' | 'not taken' | 'full' | 'closed';

export interface LiveWork {
  live: LiveMap;
  store: ReturnType<typeof newStore>;
  destroy: () => void;
}

const newStore = () =>
  createStore<{ state: SaveState; ready: boolean; slow: boolean }>(() => ({
    state: 'opening',
    ready: false,
    slow: false,
  }));

/** Longer than that nobody should read *Saving …* without a word. */
const PATIENCE_MS = 5000;

interface Wishes {
  accountId: string;
  /** under which this browser keeps it */
  id: string;
  /** its name on the server */
  document: string;
  onWorkChanged: () => void;
  onDoubt: () => void;
}

/** Opens a live map: the copy this browser keeps, the connection, and the truth about what is saved. */
export function openLive({ accountId, id, document, onWorkChanged, onDoubt }: Wishes): LiveWork {
  const doc = new Y.Doc();
  const live = new LiveMap(doc, String(doc.clientID));
  const store = newStore();
  let stored: Record<string, number> = {};
  let failing = false;
  /** runs while something is waited for; once it has run out, that is said */
  let patience: ReturnType<typeof setTimeout> | null = null;
  let slow = false;

  const isCovered = (): boolean =>
    Object.entries(countersOf(doc)).every(([client, count]) => (stored[client] ?? 0) >= count);
  const stateNow = (): SaveState => {
    const { open, ended } = connection.state;
    if (ended) return ended;
    const ready = doc.getMap('head').has('schema');
    if (!ready) return 'opening';
    if (!open) return kept.isKept() ? 'offline' : 'adrift';
    if (isCovered()) return 'saved';
    return failing || slow ? 'not stored' : 'saving';
  };
  const tell = (): void => {
    const ready = doc.getMap('head').has('schema');
    if (ready) noteUnsent(accountId, id, !isCovered());
    const waits = !ready || (connection.state.open && !isCovered());
    if (!waits) {
      clearTimeout(patience ?? undefined);
      [patience, slow] = [null, false];
    } else
      patience ??= setTimeout(() => {
        slow = true;
        tell();
      }, PATIENCE_MS);
    const [state, before] = [stateNow(), store.getState()];
    if (before.state !== state || before.ready !== ready || before.slow !== slow)
      store.setState({ state, ready, slow });
  };
  const hear = (message: LiveMessage): void => {
    if (message.type === 'work changed') onWorkChanged();
    if (message.type === 'not stored') failing = true;
    if (message.type === 'stored') {
      for (const [client, count] of Object.entries(message.counters))
        stored = { ...stored, [client]: Math.max(stored[client] ?? 0, count) };
      if (isCovered()) failing = false;
    }
    tell();
  };
  const kept = keep(accountId, id, doc, () => tell());
  const connection: Connection = new Connection(doc, document, {
    onChange: () => {
      // A map that may only be read is in another state than the page may think.
      if (connection.state.open && connection.state.readOnly) onWorkChanged();
      tell();
    },
    onMessage: hear,
    onDoubt,
  });
  const warn = (event: BeforeUnloadEvent): void => {
    if (!kept.isKept() && !isCovered()) event.preventDefault();
  };
  window.addEventListener('beforeunload', warn);
  doc.on('afterTransaction', tell);
  return {
    live,
    store,
    destroy: () => {
      clearTimeout(patience ?? undefined);
      window.removeEventListener('beforeunload', warn);
      doc.off('afterTransaction', tell);
      connection.destroy();
      kept.destroy();
      live.destroy();
    },
  };
}
