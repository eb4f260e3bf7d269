import { assignmentOf } from '@ichnograph/core';
import type { Assignment, Sheet, SheetPart, TopicMap } from '@ichnograph/core';
import { referenceDocument, starterDocument } from '@ichnograph/contract';
import type { SheetDetail, SheetNow } from '@ichnograph/contract';
import { createContext, useContext, useDeferredValue, useEffect, useMemo, useState } from 'react';
import { useStore } from 'zustand';
import { api, ApiError } from '../common/api';
import { queries } from '../common/queries';
import { openLive } from '../live';
import type { LiveWork } from '../live';
import { newIdAmong, RULE_STEM } from '../common/lists';
import type { SheetQuestion, SheetReading } from './reading-worker';
import { useBeside } from './use-beside';
import { createSheetStore } from './sheet-store';
import type { SheetStore } from './sheet-store';

export interface OpenSheet {
  detail: SheetDetail;
  /** what is written, and how it is saved */
  writing: SheetStore;
  starter: LiveWork;
  reference: LiveWork;
}

const HERE_MS = 5000;

/** Opens a sheet for as long as its page is shown: its parts, and its two maps, live. */
export function useOpenSheet(detail: SheetDetail, accountId: string): OpenSheet | null {
  const [open, setOpen] = useState<OpenSheet | null>(null);
  useEffect(() => {
    const writing = createSheetStore(detail, accountId);
    const live = (name: string, document: string): LiveWork =>
      openLive({
        accountId,
        id: `${name}-${detail.id}`,
        document,
        onWorkChanged: () => undefined,
        onDoubt: () => void queries.invalidateQueries({ queryKey: ['welcome'] }),
      });
    const starter = live('starter', starterDocument(detail.id));
    const reference = live('reference', referenceDocument(detail.id));
    setOpen({ detail, writing, starter, reference });
    return () => {
      writing.end();
      starter.destroy();
      reference.destroy();
    };
    // eslint-disable-next-line react-hooks/exhaustive-deps -- a newer answer must not replace what is being written
  }, [detail.id, accountId]);
  return open;
}

/** Who else has the sheet open, and whether it says something else than its class has; what they saved follows by itself where nothing is being written here. */
export function useOthers(
  { detail, writing }: OpenSheet,
  accountId: string,
): { others: SheetNow['here']; ahead: boolean; lookAgain: () => void } {
  const [here, setHere] = useState<SheetNow['here']>([]);
  const [ahead, setAhead] = useState(false);
  const [asked, ask] = useState(0);
  useEffect(() => {
    let stopped = false;
    const look = async (): Promise<void> => {
      try {
        const now = await api.post<SheetNow>(`assignments/${detail.id}/here`);
        if (stopped) return;
        setHere(now.here.filter(({ id }) => id !== accountId));
        setAhead(now.ahead);
        await writing.follow(now.versions);
      } catch (error) {
        // No answer just now: the next look will have one. What is typed says itself whether it is saved.
        if (!(error instanceof ApiError)) throw error;
      }
    };
    void look();
    const timer = setInterval(() => void look(), HERE_MS);
    return () => {
      stopped = true;
      clearInterval(timer);
    };
  }, [detail.id, writing, accountId, asked]);
  return { others: here, ahead, lookAgain: () => ask(asked + 1) };
}

const SheetContext = createContext<OpenSheet | null>(null);
export const SheetProvider = SheetContext.Provider;

export function useSheetPage(): OpenSheet {
  const open = useContext(SheetContext);
  if (!open) throw new Error('this part belongs on a sheet');
  return open;
}

/** A part of the sheet, and what changes it. */
export function usePart<P extends SheetPart>(
  part: P,
): [Sheet[P], (change: Sheet[P] | ((before: Sheet[P]) => Sheet[P])) => void] {
  const { writing } = useSheetPage();
  return [useStore(writing.store, ({ sheet }) => sheet[part]), (change) => writing.change(part, change)];
}

/** Makes ids for what is added on this sheet. */
export function useNewId(): typeof newIdAmong {
  const stem = useSheetPage().detail.rulesOf ? RULE_STEM : '';
  return (list, of) => newIdAmong(list, `${stem}${of}`);
}

export const useSheet = (): Sheet => useStore(useSheetPage().writing.store, ({ sheet }) => sheet);

/** A live map as it is drawn now. */
export function useLiveSnapshot({ live, store }: LiveWork): TopicMap | null {
  const ready = useStore(store, (state) => state.ready);
  const [map, setMap] = useState(live.snapshot);
  useEffect(() => live.subscribe(() => setMap(live.snapshot)), [live]);
  return ready ? map : null;
}

/** The assignment as it is written just now, and what keeps it from being given out. */
export interface Written extends SheetReading {
  assignment: Assignment;
  /** what was read last, to which what is missing and found belongs: a moment behind what is typed */
  read: Assignment;
  /** whether its maps are here: before, nothing can be said of what refers to them */
  ready: boolean;
}

type Question = Extract<SheetQuestion, { ask: 'reading' }>;
const READ_AFTER_MS = 60;
const NOT_READ: SheetReading = { missing: [], findings: [] };
/** What reads a sheet and proposes for it, beside the page. */
export const newReader = (): Worker => new Worker(new URL('./reading-worker.ts', import.meta.url), { type: 'module' });

/** Works out what is written; once for the page, which hands it to its parts. What it lacks is read beside the page. */
export function useWriting(): Written {
  const { starter, reference } = useSheetPage();
  const sheet = useSheet();
  const maps = { starter: useLiveSnapshot(starter), reference: useLiveSnapshot(reference) };
  // What is typed comes first; what follows from it may come a moment later.
  const now = useDeferredValue(sheet);
  const [starterMap, referenceMap] = [useDeferredValue(maps.starter), useDeferredValue(maps.reference)];
  const ready = starterMap !== null && referenceMap !== null;
  const question = useMemo((): Question => {
    const assignment = assignmentOf(now, { starter: starterMap, reference: referenceMap });
    return { ask: 'reading', assignment, hasMaps: ready };
  }, [now, starterMap, referenceMap, ready]);
  const answered = useBeside<Question, SheetReading>(newReader, question, READ_AFTER_MS);
  return useMemo(
    () => ({
      assignment: question.assignment,
      read: answered?.question.assignment ?? question.assignment,
      ...(answered?.answer ?? NOT_READ),
      ready,
    }),
    [question, answered, ready],
  );
}

const WrittenContext = createContext<Written | null>(null);
export const WrittenProvider = WrittenContext.Provider;

export function useWritten(): Written {
  const written = useContext(WrittenContext);
  if (!written) throw new Error('this part belongs on a sheet');
  return written;
}
