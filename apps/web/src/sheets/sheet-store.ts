import { SHEET_PARTS } from '@ichnograph/core';
import type { Sheet, SheetPart } from '@ichnograph/core';
import type { SheetDetail } from '@ichnograph/contract';
import { createStore } from 'zustand/vanilla';
import { alertAloud } from '../common/announcer';
import { api, ApiError, sentenceOfError } from '../common/api';

/**
 * `saved`: the server holds every word of it. `waiting`: it was changed and is being sent, or will be in a moment.
 * `unreachable`: sending failed; it is kept in this browser and tried again. `overtaken`: somebody else saved another
 * version first, and the person says which one stands. `refused`: the server will not have it, and says why.
 */
export type PartState = 'saved' | 'waiting' | 'unreachable' | 'overtaken' | 'refused';

interface SheetState {
  sheet: Sheet;
  states: Record<SheetPart, PartState>;
  /** why a part was refused, or by whom it was overtaken */
  trouble: string | null;
}

/** What is typed is sent once the hand rests this long, milliseconds. */
const REST_MS = 500;
const AGAIN_MS = 3000;

export type SheetStore = ReturnType<typeof createSheetStore>;

/**
 * A sheet as it is being written: each part is saved by itself, one sending at a time, as it is typed. What is not saved
 * yet is kept in this browser too, so that neither a reload nor a lost connection takes it.
 */
export function createSheetStore(detail: SheetDetail, accountId: string) {
  const keyOf = (part: SheetPart): string => `ichnograph:${accountId}:draft:sheet ${detail.id} ${part}`;
  const of = <T>(valueOf: (part: SheetPart) => T): Record<SheetPart, T> =>
    Object.fromEntries(SHEET_PARTS.map((part) => [part, valueOf(part)])) as Record<SheetPart, T>;
  const versions = of((part) => detail.parts[part]!.version);
  const timers: Partial<Record<SheetPart, ReturnType<typeof setTimeout>>> = {};
  const sending = new Set<SheetPart>();
  let ended = false;

  const drafts = of((part) => readDraft(keyOf(part)));
  const store = createStore<SheetState>(() => ({
    sheet: of((part) => drafts[part]?.body ?? detail.parts[part]!.body) as unknown as Sheet,
    states: of((part): PartState => (drafts[part] ? 'waiting' : 'saved')),
    trouble: null,
  }));
  const { getState: get, setState: set } = store;
  const setPart = (part: SheetPart, state: PartState, trouble: string | null = get().trouble): void =>
    set({ states: { ...get().states, [part]: state }, trouble });

  const later = (part: SheetPart, wait: number): void => {
    clearTimeout(timers[part]);
    timers[part] = setTimeout(() => void send(part), wait);
  };

  async function send(part: SheetPart): Promise<void> {
    if (sending.has(part) || ended) return;
    sending.add(part);
    const body = get().sheet[part];
    try {
      const { version } = await api.put<{ version: number }>(`assignments/${detail.id}/sheet/${part}`, {
        version: versions[part],
        body,
      });
      versions[part] = version;
      if (get().sheet[part] === body) {
        forgetDraft(keyOf(part));
        setPart(part, 'saved', null);
      } else later(part, 0);
    } catch (error) {
      const status = error instanceof ApiError ? error.status : 0;
      if (status === 409) setPart(part, 'overtaken', sentenceOfError(error));
      else if (status >= 400 && status < 500) setPart(part, 'refused', sentenceOfError(error));
      else {
        setPart(part, 'unreachable', sentenceOfError(error));
        later(part, AGAIN_MS);
      }
      alertAloud(get().trouble ?? '');
    } finally {
      sending.delete(part);
    }
  }

  // A draft of an older version was overtaken while it lay here; sending it finds that out.
  for (const part of SHEET_PARTS) {
    const draft = drafts[part];
    if (!draft) continue;
    versions[part] = draft.version;
    later(part, 0);
  }

  return {
    store,
    /** Changes a part. What it was made of must be the newest: pass a function where that may have moved on. */
    change: <P extends SheetPart>(part: P, change: Sheet[P] | ((before: Sheet[P]) => Sheet[P])): void => {
      const body = typeof change === 'function' ? change(get().sheet[part]) : change;
      set({ sheet: { ...get().sheet, [part]: body } });
      writeDraft(keyOf(part), { version: versions[part], body: body });
      if (get().states[part] === 'overtaken') return;
      setPart(part, 'waiting');
      later(part, REST_MS);
    },
    /** What the server has now: parts that are saved here follow it. */
    follow: async (theirs: Record<string, number>): Promise<void> => {
      const behind = SHEET_PARTS.filter(
        (part) => get().states[part] === 'saved' && (theirs[part] ?? 0) > versions[part] && !sending.has(part),
      );
      if (behind.length === 0) return;
      const { parts } = await api.get<SheetDetail>(`assignments/${detail.id}/sheet`);
      for (const part of behind) {
        if (get().states[part] !== 'saved') continue;
        versions[part] = parts[part]!.version;
        set({ sheet: { ...get().sheet, [part]: parts[part]!.body } });
      }
    },
    /** Settles a part that somebody else saved meanwhile: theirs, or this one over it. */
    settle: async (keep: 'mine' | 'theirs'): Promise<void> => {
      const { parts } = await api.get<SheetDetail>(`assignments/${detail.id}/sheet`);
      for (const part of SHEET_PARTS.filter((one) => get().states[one] === 'overtaken')) {
        versions[part] = parts[part]!.version;
        if (keep === 'theirs') {
          forgetDraft(keyOf(part));
          set({ sheet: { ...get().sheet, [part]: parts[part]!.body } });
          setPart(part, 'saved', null);
        } else {
          setPart(part, 'waiting', null);
          later(part, 0);
        }
      }
    },
    /** Sends what waits at once, and resolves when all of it is saved, or cannot be. */
    flush: async (): Promise<boolean> => {
      for (const part of SHEET_PARTS) if (get().states[part] === 'waiting') later(part, 0);
      await new Promise<void>((resolve) => {
        const look = (): void => {
          if (Object.values(get().states).includes('waiting')) return;
          stop();
          resolve();
        };
        const stop = store.subscribe(look);
        look();
      });
      return Object.values(get().states).every((state) => state === 'saved');
    },
    end: (): void => {
      for (const part of SHEET_PARTS) {
        clearTimeout(timers[part]);
        if (get().states[part] === 'waiting') void send(part);
      }
      ended = true;
    },
  };
}

interface Draft {
  version: number;
  body: object;
}

function readDraft(key: string): Draft | null {
  try {
    return JSON.parse(localStorage.getItem(key) ?? 'null') as Draft | null;
  } catch {
    return null;
  }
}

function writeDraft(key: string, draft: Draft): void {
  try {
    localStorage.setItem(key, JSON.stringify(draft));
  } catch {
    // Where nothing can be kept, what is typed lives as long as its page.
  }
}

function forgetDraft(key: string): void {
  try {
    localStorage.removeItem(key);
  } catch {
    // Then there is none.
  }
}
