import { HocuspocusProvider, HocuspocusProviderWebsocket, WebSocketStatus } from '@hocuspocus/provider';
import { LIVE_PATH, workDocument } from '@ichnograph/contract';
import type { LiveMessage } from '@ichnograph/contract';
import { countersOf, LiveMap } from '@ichnograph/livemap';
import { IndexeddbPersistence } from 'y-indexeddb';
import * as Y from 'yjs';
import { createStore } from 'zustand/vanilla';
import { databaseOf, noteUnsent } from './kept';

/**
 * `saved`: a committed transaction on the server holds every change this browser has, deletions included.
 * `saving`: it is on its way. `offline`: no connection; changes are kept here. `not stored`: the server has them and
 * cannot store them just now. `closed`: the session ended or the work is not this person's any more.
 */
export type SaveState = 'opening' | 'saved' | 'saving' | 'offline' | 'not stored' | 'closed';

export interface LiveWork {
  live: LiveMap;
  store: ReturnType<typeof newStore>;
  destroy: () => void;
}

const newStore = () => createStore<{ state: SaveState; ready: boolean }>(() => ({ state: 'opening', ready: false }));

interface Wishes {
  accountId: string;
  workId: string;
  onWorkChanged: () => void;
}

/** Opens a work's live map: the copy this browser keeps, the connection, and the truth about what is saved. */
export function openWork({ accountId, workId, onWorkChanged }: Wishes): LiveWork {
  const doc = new Y.Doc();
  const live = new LiveMap(doc, String(doc.clientID));
  const store = newStore();
  const kept = new IndexeddbPersistence(databaseOf(accountId, workId), doc);
  const socket = new HocuspocusProviderWebsocket({
    url: `${location.origin.replace(/^http/, 'ws')}${LIVE_PATH}`,
    delay: 500,
    factor: 1.5,
    maxDelay: 3000,
    minDelay: 300,
    messageReconnectTimeout: 20_000,
  });
  let stored: Record<string, number> = {};
  const now = { connected: false, synced: false, failing: false, closed: false };

  const isCovered = (): boolean =>
    Object.entries(countersOf(doc)).every(([client, count]) => (stored[client] ?? 0) >= count);
  const tell = (): void => {
    const covered = isCovered();
    const ready = doc.getMap('head').has('schema');
    if (ready) noteUnsent(accountId, workId, !covered);
    const state: SaveState = now.closed
      ? 'closed'
      : !now.connected
        ? ready
          ? 'offline'
          : 'opening'
        : now.failing && !covered
          ? 'not stored'
          : !now.synced || !covered
            ? ready
              ? 'saving'
              : 'opening'
            : 'saved';
    const before = store.getState();
    if (before.state !== state || before.ready !== ready) store.setState({ state, ready });
  };
  const hear = (message: LiveMessage): void => {
    if (message.type === 'work changed') onWorkChanged();
    if (message.type === 'not stored') now.failing = true;
    if (message.type === 'stored') {
      now.failing = false;
      for (const [client, count] of Object.entries(message.counters))
        stored = { ...stored, [client]: Math.max(stored[client] ?? 0, count) };
    }
    tell();
  };
  const close = (): void => {
    now.closed = true;
    socket.disconnect();
    tell();
  };
  const provider = new HocuspocusProvider({
    // A page nobody touches still hears from the server, and so is not taken for one that lost it.
    forceSyncInterval: 7000,
    websocketProvider: socket,
    name: workDocument(workId),
    document: doc,
    token: 'cookie',
    awareness: null,
    onStatus: ({ status }) => {
      now.connected = status === WebSocketStatus.Connected;
      if (!now.connected) now.synced = false;
      tell();
    },
    onSynced: ({ state }) => {
      now.synced = state;
      tell();
    },
    onStateless: ({ payload }) => hear(JSON.parse(payload) as LiveMessage),
    // A map that may only be read is in another state than the page may think.
    onAuthenticated: ({ scope }) => {
      if (scope === 'readonly') onWorkChanged();
    },
    onAuthenticationFailed: close,
    onClose: ({ event }) => {
      // 4401: signed out elsewhere or expired. Whatever is not sent stays in this browser, under this account.
      if (event.code === 4401) close();
      else {
        now.connected = false;
        now.synced = false;
        tell();
      }
    },
  });
  provider.attach();
  doc.on('afterTransaction', tell);
  const wake = (): void => {
    void socket.connect();
  };
  // A socket that the network left may seem open for a long while; the browser knows sooner.
  const sleep = (): void => socket.disconnect();
  window.addEventListener('online', wake);
  window.addEventListener('offline', sleep);
  return {
    live,
    store,
    destroy: () => {
      window.removeEventListener('online', wake);
      window.removeEventListener('offline', sleep);
      doc.off('afterTransaction', tell);
      provider.destroy();
      socket.destroy();
      void kept.destroy();
      live.destroy();
    },
  };
}
