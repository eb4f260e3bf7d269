import type { LiveMessage } from '@ichnograph/contract';
import { countersOf, LiveMap } from '@ichnograph/livemap';
import * as Y from 'yjs';
import { createStore } from 'zustand/vanilla';
import { Connection } from './connection';
import { keep } from './kept';
import type { Kept } from './kept';
import { openWhoIsHere } from './who-is-here';
import type { WhoIsHere } from './who-is-here';
import { noteUnsent } from './unsent';
import { isCovered, saveStateOf, withStored } from './save-state';
import type { Counters, SaveState } from './save-state';

export interface LiveWork {
  live: LiveMap;
  store: ReturnType<typeof newStore>;
  here: WhoIsHere;
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
  /** whether this browser keeps it for when the connection is gone */
  keeps?: boolean;
  /** its name on the server */
  document: string;
  onWorkChanged: () => void;
  onDoubt: () => void;
}

const KEPT_NOWHERE: Kept = { isKept: () => false, destroy: () => undefined };

/** Opens a live map: the copy this browser keeps, the connection, and the truth about what is saved. */
export function openLive({ accountId, id, keeps = true, document, onWorkChanged, onDoubt }: Wishes): LiveWork {
  const doc = new Y.Doc();
  const live = new LiveMap(doc, String(doc.clientID));
  const store = newStore();
  let stored: Counters = {};
  let failing = false;
  /** runs while something is waited for; once it has run out, that is said */
  let patience: ReturnType<typeof setTimeout> | null = null;
  let slow = false;

  const isReady = (): boolean => doc.getMap('head').has('schema');
  const hasAll = (): boolean => isCovered(countersOf(doc), stored);
  const tell = (): void => {
    const { open: isOpen, ended } = connection.state;
    const [ready, covered] = [isReady(), hasAll()];
    if (ready) noteUnsent(accountId, id, !covered);
    const waits = !ready || (isOpen && !covered);
    if (!waits) {
      clearTimeout(patience ?? undefined);
      [patience, slow] = [null, false];
    } else
      patience ??= setTimeout(() => {
        slow = true;
        tell();
      }, PATIENCE_MS);
    const before = store.getState();
    const state = saveStateOf({
      isReady: ready,
      ended,
      isOpen,
      isCovered: covered,
      isKept: kept.isKept(),
      isStuck: failing || slow,
    });
    if (before.state !== state || before.ready !== ready || before.slow !== slow)
      store.setState({ state, ready, slow });
  };
  const here = openWhoIsHere(accountId, (message) => connection.say(message));
  const hear = (message: LiveMessage): void => {
    if (message.type === 'here') return here.hear(message);
    if (message.type === 'work changed') onWorkChanged();
    if (message.type === 'not stored') failing = true;
    if (message.type === 'stored') {
      stored = withStored(stored, message.counters);
      if (hasAll()) failing = false;
    }
    tell();
  };
  const kept = keeps ? keep(accountId, id, doc, () => tell()) : KEPT_NOWHERE;
  const connection: Connection = new Connection(doc, document, {
    onChange: () => {
      // A map that may only be read is in another state than the page may think.
      if (connection.state.open && connection.state.readOnly) onWorkChanged();
      if (connection.state.open) here.say({});
      else here.lost();
      tell();
    },
    onMessage: hear,
    onDoubt,
  });
  const warn = (event: BeforeUnloadEvent): void => {
    if (!kept.isKept() && !hasAll()) event.preventDefault();
  };
  window.addEventListener('beforeunload', warn);
  doc.on('afterTransaction', tell);
  return {
    live,
    store,
    here,
    destroy: () => {
      here.destroy();
      clearTimeout(patience ?? undefined);
      window.removeEventListener('beforeunload', warn);
      doc.off('afterTransaction', tell);
      connection.destroy();
      kept.destroy();
      live.destroy();
    },
  };
}
