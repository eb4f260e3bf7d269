import { reportOf, requirementSentence } from '@ichnograph/core';
import type { Assignment, Chip, Report, Requirement, Result, TopicMap } from '@ichnograph/core';
import { mergedWords } from '@ichnograph/livemap';
import type { LiveMap } from '@ichnograph/livemap';
import { createContext, useContext } from 'react';
import { useStore } from 'zustand';
import { createStore } from 'zustand/vanilla';
import { announce } from '../../common/announcer';
import { arrangeActions } from './arrange-actions';
import { askingActions } from './asking-actions';
import { bankActions } from './bank-actions';
import { enrichActions } from './enrich-actions';
import { createHand, usualLinkKind } from './hand';
import { keepFitting } from './keep-fitting';
import { markActions } from './mark-actions';
import { pictureActions } from './picture-actions';
import type { EditorState, Typing } from './state';
import { listActions } from './list-actions';
import { tourActions } from './tour-actions';
import { typingActions } from './typing-actions';

export type Editor = ReturnType<typeof createEditor>;

/** The student's hand on a live map. Every gesture becomes one command of core; what core refuses is said, not done. */
export function createEditor(live: LiveMap, assignment: Assignment, by: string, own = false) {
  const { legend } = assignment;
  const store = createStore<EditorState>(() => ({
    map: live.snapshot,
    selection: [],
    typing: null,
    words: '',
    wordsOf: null,
    merged: null,
    chip: null,
    report: null,
    chips: [],
    tooLong: false,
    hovered: null,
    requirement: null,
    refusal: null,
    deleting: null,
    asking: null,
    tidying: null,
    glide: null,
    leading: false,
    about: false,
    region: null,
    pictures: null,
    large: null,
    brought: null,
    bringing: 0,
    alone: null,
    makers: false,
    tourLine: false,
    blank: null,
    overview: null,
    moves: false,
    offered: false,
    sought: null,
    room: null,
    gathering: false,
    withBranch: false,
    canUndo: false,
    canRedo: false,
    next: {
      topicKind: legend.topicKinds.find(({ givenBy }) => givenBy === 'student')?.id ?? null,
      linkKind: usualLinkKind(legend),
      isPinned: false,
    },
  }));
  const { getState: get, setState: set } = store;

  const fits = keepFitting(legend);
  const unsubscribe = live.subscribe(() => {
    const map = live.snapshot;
    const there = new Set(marksIn(map));
    const { selection, typing } = get();
    const kept = selection.filter((id) => there.has(id));
    const lost = typing && 'id' in typing && !there.has(typing.id) ? typing : null;
    const before = get().map;
    set({
      map,
      selection: kept.length === selection.length ? selection : kept,
      canUndo: live.canUndo,
      canRedo: live.canRedo,
      ...(lost && { typing: null }),
    });
    if (lost) keepWords(lost, before);
    else mergeWords();
    live.follow(fits.after(map));
  });
  const unfollow = store.subscribe(({ typing, map }, before) => {
    if (typing !== before.typing) set({ wordsOf: typing && worded(typing, map) });
  });
  /** Somebody else wrote into what is being typed here: both are kept, letter by letter. */
  const mergeWords = (): void => {
    const { map, typing, words, wordsOf } = get();
    const now = typing && worded(typing, map);
    if (now === null || now === wordsOf) return;
    set({ wordsOf: now });
    // Typed over, and no letter came yet: nothing of one's own is there to be merged.
    if (wordsOf === null || (words === '' && typing && 'fresh' in typing && typing.fresh)) return;
    const merged = mergedWords(wordsOf, now, words);
    if (merged.words !== words) set({ words: merged.words, merged });
  };
  /** What one was typing into is gone, by somebody else's hand or by an undo: words typed since are kept and that is said. */
  const keepWords = (lost: Extract<Typing, { id: string }>, before: TopicMap): void => {
    const { words } = get();
    const was = [...before.topics, ...before.links].find(({ id }) => id === lost.id);
    const old = worded(lost, before);
    if (!was || words === '' || words === old) return;
    if ('text' in was) {
      set({ typing: { what: 'new', at: { x: was.x, y: was.y }, from: null } });
      hand.refuse(
        `“${was.text}” is gone: it was deleted meanwhile. Your words, “${words}”, are kept for a new topic here.`,
      );
    } else hand.refuse(`The link is gone: it was deleted meanwhile. You had typed “${words}”.`);
  };

  let mine: Report | null = null;
  let theirs: ReadonlyMap<string, Result> = new Map();
  /** Both halves of the report as one, in the assignment's order. */
  const tell = (): void => {
    if (!mine) return;
    const byId = new Map(mine.results.map((result) => [result.id, result]));
    const report = reportOf(
      assignment.requirements.map(
        (requirement) => byId.get(requirement.id) ?? theirs.get(requirement.id) ?? waiting(requirement),
      ),
    );
    sayWhatChanged(assignment, get().report, report);
    set({ report });
  };
  const hand = createHand(live, assignment, by, store, own, fits.wrote);
  const marks = markActions(hand);
  const arranging = arrangeActions(hand);
  const actions = {
    ...typingActions(hand, mergeWords),
    ...bankActions(hand),
    ...marks,
    ...arranging,
    ...askingActions(hand, { ...marks, ...arranging }),
    ...enrichActions(hand),
    ...listActions(hand),
    ...tourActions(hand),
    ...pictureActions(hand),
    /** Shows one branch alone, or everything again. */
    showAlone: (alone: string | null): void => set({ alone }),
    toggleMakers: (): void => set({ makers: !get().makers }),
    toggleTourLine: (): void => set({ tourLine: !get().tourLine }),
    toggleBlank: (what: 'topics' | 'phrases'): void => set({ blank: get().blank === what ? null : what }),
    toggleOverview: (): void => set({ overview: !(get().overview ?? get().offered) }),
    /** Whether so little of the map is in sight that the overview shows itself. */
    offerOverview: (offered: boolean): void => set({ offered }),
    seek: (sought: string | null): void => set({ sought }),
    selectAll: (): void => set({ selection: marksIn(get().map) }),
    gather: (gathering: boolean): void => set({ gathering }),
    hover: (hovered: string | null): void => set({ hovered }),
    chooseTopicKind: (topicKind: string | null): void => set({ next: { ...get().next, topicKind } }),
    chooseLinkKind: (linkKind: string | null): void => set({ next: { ...get().next, linkKind, isPinned: false } }),
    pinLinkKind: (isPinned: boolean): void => set({ next: { ...get().next, isPinned } }),
    showRequirement: (requirement: string | null): void => set({ requirement }),
    dismiss: (): void => set({ refusal: null }),
    answer: (report: Report, chips: readonly Chip[]): void => {
      mine = report;
      set({ chips, tooLong: false });
      tell();
    },
    /** Results of requirements that only the server can check. */
    answerFromServer: (results: readonly Result[]): void => {
      theirs = new Map(results.map((result) => [result.id, result]));
      tell();
    },
    checkTookTooLong: (): void => set({ tooLong: true }),
  };
  const destroy = (): void => {
    unfollow();
    unsubscribe();
    get().tidying?.();
  };
  return { store, actions, assignment, own, destroy };
}

/** Ids of all that can be chosen. */
const marksIn = ({ topics, links, pictures }: TopicMap): string[] =>
  [...topics, ...links, ...pictures].map(({ id }) => id);

/** The words on the map of what is being typed: of a topic, or on a link. */
function worded(typing: Typing, { topics, links }: TopicMap): string | null {
  if (typing.what === 'topic') return topics.find(({ id }) => id === typing.id)?.text ?? null;
  return typing.what === 'phrase' ? (links.find(({ id }) => id === typing.id)?.phrase ?? null) : null;
}

/** Stands for a result that the server has not given yet: unknown is not unmet. */
const waiting = ({ id, type, level, points }: Requirement): Result => ({
  id,
  type,
  level,
  outOf: points,
  points: 0,
  fraction: null,
  status: 'not-applicable',
  code: 'notYet',
  figures: {},
  evidence: [],
});

/** Tells those who do not see the list which requirements came to be met, or are met no longer. */
function sayWhatChanged(assignment: Assignment, before: Report | null, after: Report): void {
  if (!before) return;
  const said = after.results.flatMap(({ id, status }, i) => {
    const was = before.results.find((one) => one.id === id)?.status;
    if (was === status || was === 'not-applicable' || (was !== 'met' && status !== 'met')) return [];
    const sentence = requirementSentence(assignment.requirements[i]!, assignment);
    return [status === 'met' ? `Met: ${sentence}.` : `No longer met: ${sentence}.`];
  });
  if (said.length > 0) announce(said.join(' '));
}

const EditorContext = createContext<Editor | null>(null);
export const EditorProvider = EditorContext.Provider;

export function useEditor(): Editor {
  const editor = useContext(EditorContext);
  if (!editor) throw new Error('this part belongs on the map page');
  return editor;
}
export const useEditorState = <T>(select: (state: EditorState) => T): T => useStore(useEditor().store, select);
