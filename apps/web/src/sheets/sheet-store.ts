import { SHEET_PARTS } from '@ichnograph/core';
import type { Sheet, SheetPart } from '@ichnograph/core';
import type { SheetDetail } from '@ichnograph/contract';
import { createStore } from 'zustand/vanilla';
import { alertAloud } from '../common/announcer';
import { api, ApiError, sentenceOfError } from '../common/api';
import { readDraft, writeDraft } from '../common/drafts';

/**
 * `saved`: the server holds every word of it. `waiting`: it was changed and is being sent, or will be in a moment.
 * `unreachable`: sending failed; it is kept in this browser and tried again. `overtaken`: somebody else saved another
 * version first, and the person says which one stands. `refused`: the server will not have it, and says why.
 */
export type PartState = 'saved' | 'waiting' | 'unreachable' | 'overtaken' | 'refused';

interface PartSaving {
  state: PartState;
  /** why it was refused, or by whom it was overtaken */
  trouble: string | null;
}

interface SheetState {
  sheet: Sheet;
  parts: Record<SheetPart, PartSaving>;
}

/** What is typed is sent once the hand rests this long, milliseconds. */
const REST_MS = 500;
const AGAIN_MS = 3000;
/** More is not remembered of what was sent into nothing; a browser has little room. */
const MOST_UNANSWERED = 20;

export type SheetStore = ReturnType<typeof createSheetStore>;

/**
 * A sheet as it is being written: each part is saved by itself, one sending at a time, as it is typed. What is not saved
 * yet is kept in this browser too, so that neither a reload nor a lost connection takes it.
 */
export function createSheetStore(detail: SheetDetail, accountId: string) {
  const nameOf = (part: SheetPart): string => `sheet ${detail.id} ${part}`;
  const of = <T>(valueOf: (part: SheetPart) => T): Record<SheetPart, T> =>
    Object.fromEntries(SHEET_PARTS.map((part) => [part, valueOf(part)])) as Record<SheetPart, T>;
  const timers: Partial<Record<SheetPart, ReturnType<typeof setTimeout>>> = {};
  const sending = new Set<SheetPart>();
  let ended = false;

  const drafts = of((part) => readDraft<Draft>(accountId, nameOf(part)));
  // What a draft was begun from is what it is sent over: one that was overtaken while it lay here finds that out.
  const versions = of((part) => drafts[part]?.version ?? detail.parts[part]!.version);
  /** What was sent over the version one has and never answered: any of it may have been saved all the same. */
  const unanswered = of((part): readonly object[] => drafts[part]?.sent ?? []);
  const store = createStore<SheetState>(() => ({
    sheet: of((part) => drafts[part]?.body ?? detail.parts[part]!.body) as unknown as Sheet,
    parts: of((part): PartSaving => ({ state: drafts[part] ? 'waiting' : 'saved', trouble: null })),
  }));
  const { getState: get, setState: set } = store;
  const stateOf = (part: SheetPart): PartState => get().parts[part].state;
  const setPart = (part: SheetPart, state: PartState, trouble: string | null = null): void => {
    set({ parts: { ...get().parts, [part]: { state, trouble } } });
    if (trouble !== null) alertAloud(trouble);
  };
  const setBody = (part: SheetPart, body: object): void => set({ sheet: { ...get().sheet, [part]: body } });
  const keepDraft = (part: SheetPart): void =>
    writeDraft(accountId, nameOf(part), {
      version: versions[part],
      body: get().sheet[part],
      sent: unanswered[part],
    } satisfies Draft);

  const later = (part: SheetPart, wait: number): void => {
    clearTimeout(timers[part]);
    timers[part] = setTimeout(() => void send(part), wait);
  };

  const load = async (): Promise<SheetDetail['parts']> =>
    (await api.get<SheetDetail>(`assignments/${detail.id}/sheet`)).parts;

  /** Whether what stands there instead is what was sent from here, whose answer was lost. */
  async function isOwn(part: SheetPart): Promise<boolean> {
    if (unanswered[part].length === 0) return false;
    const { version, body } = (await load())[part]!;
    const words = JSON.stringify(body);
    if (version !== versions[part] + 1 || !unanswered[part].some((sent) => JSON.stringify(sent) === words))
      return false;
    versions[part] = version;
    return true;
  }

  async function put(part: SheetPart, body: object): Promise<void> {
    try {
      const wanted = { version: versions[part], body };
      const { version } = await api.put<{ version: number }>(`assignments/${detail.id}/sheet/${part}`, wanted);
      versions[part] = version;
    } catch (error) {
      const isOvertaken = error instanceof ApiError && error.status === 409;
      if (!isOvertaken || !(await isOwn(part))) throw error;
      unanswered[part] = [];
      await put(part, body);
    }
  }

  async function send(part: SheetPart): Promise<void> {
    if (sending.has(part) || ended) return;
    sending.add(part);
    const body = get().sheet[part];
    try {
      await put(part, body);
      unanswered[part] = [];
      if (get().sheet[part] === body) {
        writeDraft(accountId, nameOf(part), null);
        setPart(part, 'saved');
      } else keepDraft(part);
    } catch (error) {
      const status = error instanceof ApiError ? error.status : 0;
      if (status === 409) setPart(part, 'overtaken', sentenceOfError(error));
      else if (status >= 400 && status < 500) setPart(part, 'refused', sentenceOfError(error));
      else {
        unanswered[part] = [...unanswered[part].filter((sent) => sent !== body), body].slice(-MOST_UNANSWERED);
        keepDraft(part);
        setPart(part, 'unreachable', sentenceOfError(error));
        later(part, AGAIN_MS);
      }
    } finally {
      sending.delete(part);
    }
    // What was typed while it was on its way, whatever came of that, is another try.
    if (get().sheet[part] === body || stateOf(part) === 'overtaken') return;
    setPart(part, 'waiting');
    later(part, 0);
  }

  for (const part of SHEET_PARTS) if (drafts[part]) later(part, 0);

  return {
    store,
    /** Changes a part. What it was made of must be the newest: pass a function where that may have moved on. */
    change: <P extends SheetPart>(part: P, change: Sheet[P] | ((before: Sheet[P]) => Sheet[P])): void => {
      setBody(part, typeof change === 'function' ? change(get().sheet[part]) : change);
      keepDraft(part);
      if (stateOf(part) === 'overtaken') return;
      setPart(part, 'waiting');
      later(part, REST_MS);
    },
    /** What the server has now: parts that are saved here follow it. */
    follow: async (theirs: Record<string, number>): Promise<void> => {
      const isBehind = (part: SheetPart): boolean =>
        stateOf(part) === 'saved' && (theirs[part] ?? 0) > versions[part] && !sending.has(part);
      if (!SHEET_PARTS.some(isBehind)) return;
      const parts = await load();
      for (const part of SHEET_PARTS.filter(isBehind)) {
        versions[part] = parts[part]!.version;
        setBody(part, parts[part]!.body);
      }
    },
    /** Settles a part that somebody else saved meanwhile: theirs, or this one over it. */
    settle: async (part: SheetPart, keep: 'mine' | 'theirs'): Promise<void> => {
      const { version, body } = (await load())[part]!;
      versions[part] = version;
      unanswered[part] = [];
      if (keep === 'theirs') {
        writeDraft(accountId, nameOf(part), null);
        setBody(part, body);
        setPart(part, 'saved');
      } else {
        keepDraft(part);
        setPart(part, 'waiting');
        later(part, 0);
      }
    },
    /** Sends what waits at once, and resolves when all of it is saved, or cannot be. */
    flush: async (): Promise<boolean> => {
      const states = (): PartState[] => SHEET_PARTS.map(stateOf);
      for (const part of SHEET_PARTS) if (stateOf(part) === 'waiting') later(part, 0);
      await new Promise<void>((resolve) => {
        const look = (): void => {
          if (states().includes('waiting')) return;
          stop();
          resolve();
        };
        const stop = store.subscribe(look);
        look();
      });
      return states().every((state) => state === 'saved');
    },
    end: (): void => {
      for (const part of SHEET_PARTS) {
        clearTimeout(timers[part]);
        if (stateOf(part) === 'waiting') void send(part);
      }
      ended = true;
    },
  };
}

interface Draft {
  /** the version it was begun from */
  version: number;
  body: object;
  /** what was sent over that version and never answered */
  sent: readonly object[];
}
