import {
  addLink,
  addToBank,
  addTopic,
  asItsKind,
  copyMarks,
  entitle,
  freeSpot,
  growTopic,
  isBlank,
  moveTopics,
  normalForm,
  pasteMarks,
  removeMarks,
  resizeTopic,
  setLinkKind,
  setLooks,
  setPhrase,
  setText,
  setTopicKind,
  turnLinks,
} from '@ichnograph/core';
import type {
  Assignment,
  Change,
  Chip,
  Copied,
  LinkLooks,
  Outcome,
  Report,
  TopicLooks,
  TopicMap,
} from '@ichnograph/core';
import type { LiveMap } from '@ichnograph/livemap';
import { createContext, useContext } from 'react';
import { useStore } from 'zustand';
import { createStore } from 'zustand/vanilla';
import { alertAloud, announce } from '../app/announcer';

interface Spot {
  x: number;
  y: number;
}

/** What is being typed: a new topic that is not on the map yet, a topic's text, or a link's phrase. */
export type Typing =
  { what: 'new'; at: Spot; from: string | null } | { what: 'topic'; id: string } | { what: 'phrase'; id: string };

export interface EditorState {
  map: TopicMap;
  selection: readonly string[];
  typing: Typing | null;
  words: string;
  next: { topicKind: string | null; linkKind: string | null };
  /** the chip in hand or under the eye: what would be made of it shows as the next mark */
  chip: Chip | null;
  report: Report | null;
  chips: readonly Chip[];
  tooLong: boolean;
  hovered: string | null;
  requirement: string | null;
  /** why something was not done */
  refusal: string | null;
  /** given topics about to be deleted, waiting for a yes */
  deleting: readonly string[] | null;
  linking: boolean;
  canUndo: boolean;
  canRedo: boolean;
}

export type Editor = ReturnType<typeof createEditor>;

/** The student's hand on a live map. Every gesture becomes one command of core; what core refuses is said, not done. */
export function createEditor(live: LiveMap, assignment: Assignment, by: string) {
  const { legend } = assignment;
  const maker = { newId: () => crypto.randomUUID(), by };
  const store = createStore<EditorState>(() => ({
    map: live.snapshot,
    selection: [],
    typing: null,
    words: '',
    chip: null,
    report: null,
    chips: [],
    tooLong: false,
    hovered: null,
    requirement: null,
    refusal: null,
    deleting: null,
    linking: false,
    canUndo: false,
    canRedo: false,
    next: {
      topicKind: legend.topicKinds.find(({ givenBy }) => givenBy === 'student')?.id ?? null,
      linkKind: legend.linkKinds[0]?.id ?? null,
    },
  }));
  const { getState: get, setState: set } = store;
  let clipboard: Copied | null = null;

  const unsubscribe = live.subscribe(() => {
    const map = live.snapshot;
    const there = new Set([...map.topics, ...map.links].map(({ id }) => id));
    const { selection, typing } = get();
    const kept = selection.filter((id) => there.has(id));
    const lost = typing && typing.what !== 'new' && !there.has(typing.id);
    set({
      map,
      selection: kept.length === selection.length ? selection : kept,
      canUndo: live.canUndo,
      canRedo: live.canRedo,
      ...(lost && { typing: null }),
    });
  });

  const refuse = (reason: string): false => {
    set({ refusal: reason });
    alertAloud(reason);
    return false;
  };
  /** Applies an outcome as one gesture. @returns the changes, or false when it was refused */
  const run = (outcome: Outcome, ...more: Change[]): readonly Change[] | false => {
    if (!outcome.ok) return refuse(outcome.reason);
    set({ refusal: null });
    const changes = [...outcome.changes, ...more];
    live.apply(changes);
    return changes;
  };
  const addedId = (changes: readonly Change[] | false, to: 'topics' | 'links'): string | null => {
    const added = changes && changes.find((change) => change.do === 'add' && change.to === to);
    return added && added.do === 'add' ? added.item.id : null;
  };
  const takeFromBank = (chip: Chip | undefined): Change[] =>
    chip?.own ? [{ do: 'remove', from: 'wordBank', id: chip.own }] : [];
  const kindOfChip = (chip: Chip): string | null => chip.kind ?? get().next.topicKind;
  const selectedTopics = (): string[] =>
    get()
      .map.topics.filter(({ id }) => get().selection.includes(id))
      .map(({ id }) => id);
  const selectedLinks = (): string[] =>
    get()
      .map.links.filter(({ id }) => get().selection.includes(id))
      .map(({ id }) => id);

  const actions = {
    select: (selection: readonly string[]) => set({ selection }),
    selectAll: () => set({ selection: [...get().map.topics, ...get().map.links].map(({ id }) => id) }),
    hover: (hovered: string | null) => set({ hovered }),
    look: (chip: Chip | null) => set({ chip }),
    chooseTopicKind: (topicKind: string | null) => set({ next: { ...get().next, topicKind } }),
    chooseLinkKind: (linkKind: string | null) => set({ next: { ...get().next, linkKind } }),
    showRequirement: (requirement: string | null) => set({ requirement }),
    dismiss: () => set({ refusal: null }),
    answer: (report: Report, chips: readonly Chip[]) => {
      sayWhatChanged(get().report, report);
      set({ report, chips, tooLong: false });
    },
    checkTookTooLong: () => set({ tooLong: true }),

    /** Begins typing a new topic at a spot, hanging from another when `from` is given. */
    make: (at: Spot, from: string | null = null) =>
      set({ typing: { what: 'new', at, from }, words: '', refusal: null }),
    /** A child of the selected topic, or a sibling: a child of what it hangs from. */
    grow: (sibling: boolean) => {
      const [id] = selectedTopics();
      const { map } = get();
      const topic = map.topics.find((one) => one.id === id);
      if (!topic) return;
      const from = sibling ? (map.links.find(({ to }) => to === id)?.from ?? null) : topic.id;
      const beside = {
        x: topic.x + (sibling ? topic.width + 40 : 0),
        y: sibling ? topic.y : topic.y + topic.height / 2 + 90,
      };
      actions.make(freeSpot(map, beside, { width: 110, height: 40 }), from);
    },
    edit: (id: string) => {
      const topic = get().map.topics.find((one) => one.id === id);
      const link = get().map.links.find((one) => one.id === id);
      if (topic) set({ typing: { what: 'topic', id }, words: topic.text, selection: [id], refusal: null });
      if (link) set({ typing: { what: 'phrase', id }, words: link.phrase, selection: [id], refusal: null });
    },
    editFrom: (id: string, words: string) => {
      actions.edit(id);
      set({ words });
    },
    type: (words: string) => set({ words }),
    cancelTyping: () => set({ typing: null, words: '' }),
    /** Ends typing. An empty new topic vanishes; a grown one goes on to the words of its link. */
    commit: () => {
      const { typing, words, map, next, chips } = get();
      if (!typing) return;
      set({ typing: null, words: '' });
      if (typing.what === 'topic') {
        run(setText(map, typing.id, words, legend));
        return;
      }
      if (typing.what === 'phrase') {
        run(setPhrase(map, typing.id, words));
        return;
      }
      if (isBlank(words)) return;
      const text = words.trim();
      const chip = chips.find((one) => normalForm(one.text) === normalForm(text));
      const wanted = {
        text,
        kind: chip ? kindOfChip(chip) : next.topicKind,
        at: typing.at,
        ...(chip?.origin !== undefined && { origin: chip.origin }),
      };
      const parent = typing.from !== null && map.topics.some(({ id }) => id === typing.from) ? typing.from : null;
      const made = run(
        parent
          ? growTopic(map, { ...wanted, from: parent, linkKind: next.linkKind }, maker, legend)
          : addTopic(map, wanted, maker, legend),
        ...takeFromBank(chip),
      );
      const id = addedId(made, 'topics');
      if (id) set({ selection: [id] });
      const link = addedId(made, 'links');
      if (link) set({ typing: { what: 'phrase', id: link }, words: '' });
    },
    place: (chip: Chip, at: Spot) => {
      const { map } = get();
      const wanted = {
        text: chip.text,
        kind: kindOfChip(chip),
        at,
        ...(chip.origin !== undefined && { origin: chip.origin }),
      };
      const id = addedId(run(addTopic(map, wanted, maker, legend), ...takeFromBank(chip)), 'topics');
      if (!id) return;
      set({ selection: [id], chip: null });
      announce(`${chip.text} is on the map.`);
    },
    /** Places a chip that was not dropped anywhere: in the nearest free place. */
    placeNear: (chip: Chip, near: Spot) => actions.place(chip, freeSpot(get().map, near, { width: 120, height: 40 })),
    addToBank: (text: string): boolean => run(addToBank(get().map, text, maker)) !== false,
    takeFromBank: (chip: Chip) => {
      live.apply(takeFromBank(chip));
    },
    move: (ids: readonly string[], step: Spot) => {
      run(moveTopics(get().map, ids, step));
    },
    resize: (id: string, size: { width: number; height: number }) => {
      run(resizeTopic(get().map, id, size, legend));
    },
    link: (from: string, to: string) => {
      const id = addedId(run(addLink(get().map, { from, to, phrase: '', kind: get().next.linkKind }, maker)), 'links');
      set({ linking: false });
      if (id) set({ selection: [id], typing: { what: 'phrase', id }, words: '' });
    },
    askLink: (linking: boolean) => set({ linking }),
    turn: () => {
      run(turnLinks(get().map, selectedLinks()));
    },
    setTopicKind: (kind: string | null) => {
      run(setTopicKind(get().map, selectedTopics(), kind, assignment));
    },
    setLinkKind: (kind: string | null) => {
      run(setLinkKind(get().map, selectedLinks(), kind, assignment));
    },
    setLooks: (looks: TopicLooks & LinkLooks) => {
      run(setLooks(get().map, get().selection, looks, assignment));
    },
    asItsKind: () => {
      run(asItsKind(get().map, get().selection, assignment));
    },
    entitle: (fields: { title?: string; focusQuestion?: string }) => {
      run(entitle(get().map, fields));
    },
    /** Deletes the selection; first asks when something in it was given. */
    remove: (sure = false) => {
      const { selection, map, deleting } = get();
      const ids = deleting ?? selection;
      if (ids.length === 0) return;
      const given = map.topics.some(({ id, origin }) => ids.includes(id) && origin !== undefined);
      if (given && !sure) {
        set({ deleting: [...ids] });
        return;
      }
      set({ deleting: null });
      const changes = run(removeMarks(map, ids));
      if (changes)
        announce(
          `${changes.length === 1 ? 'One thing is' : `${changes.length} things are`} deleted. Undo brings back what was there.`,
        );
    },
    keep: () => set({ deleting: null }),
    copy: () => {
      clipboard = copyMarks(get().map, selectedTopics());
    },
    paste: (held: Copied | null = clipboard) => {
      if (!held || held.topics.length === 0) return;
      const changes = run(pasteMarks(get().map, held, { x: 30, y: 30 }, maker));
      if (!changes) return;
      set({ selection: changes.flatMap((change) => (change.do === 'add' ? [change.item.id] : [])) });
      clipboard = copyMarks(get().map, selectedTopics());
    },
    duplicate: () => actions.paste(copyMarks(get().map, selectedTopics())),
    undo: () => {
      live.undo();
      announce('Undone.');
    },
    redo: () => {
      live.redo();
      announce('Done again.');
    },
  };
  return { store, actions, assignment, destroy: unsubscribe };
}

/** Tells those who do not see the list which requirements came to be met, or are met no longer. */
function sayWhatChanged(before: Report | null, after: Report): void {
  if (!before) return;
  const said = after.results.flatMap(({ id, status, sentence }) => {
    const was = before.results.find((one) => one.id === id)?.status;
    if (was === status || (was !== 'met' && status !== 'met')) return [];
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
