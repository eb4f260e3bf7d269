import { isFixed, isStructural, kindOfLink, normalForm, reasonOf, roomFor } from '@ichnograph/core';
import type { Assignment, Change, Chip, Legend, Maker, Outcome } from '@ichnograph/core';
import type { LiveMap } from '@ichnograph/livemap';
import type { StoreApi } from 'zustand/vanilla';
import { alertAloud } from '../../common/announcer';
import type { EditorState } from './state';

/** What all actions of an editor work with: the live map, the state, and one way to run a command of core. */
export function createHand(
  live: LiveMap,
  assignment: Assignment,
  by: string,
  { getState: get, setState: set }: StoreApi<EditorState>,
  own: boolean,
  /** told what was changed by hand */
  wrote: (changes: readonly Change[]) => void,
) {
  const maker: Maker = { newId: () => crypto.randomUUID(), by };
  const refuse = (reason: string): false => {
    set({ refusal: reason });
    alertAloud(reason);
    return false;
  };
  /** A kind of link that stands beside the structure serves once: the next line is an ordinary one again, unless it is pinned. */
  const fallBack = (changes: readonly Change[]): void => {
    const { next } = get();
    const kind = kindOfLink(assignment.legend, next.linkKind);
    if (next.isPinned || isStructural(kind)) return;
    if (changes.some((one) => one.do === 'add' && one.to === 'links' && one.item.kind === next.linkKind))
      set({ next: { ...next, linkKind: usualLinkKind(assignment.legend) } });
  };
  /** Applies an outcome as one gesture. @returns the changes, or false when it was refused */
  const run = (outcome: Outcome, ...more: Change[]): readonly Change[] | false => {
    if (!outcome.ok) return refuse(reasonOf(outcome));
    set({ refusal: null });
    const changes = [...outcome.changes, ...more];
    wrote(changes);
    live.apply(changes);
    fallBack(changes);
    return changes;
  };
  return {
    live,
    /** whether the map is the assignment's, whose given topics are one's own */
    own,
    assignment,
    legend: assignment.legend,
    maker,
    get,
    set,
    refuse,
    run,
    /** The same, and makes room for what it makes, hangs or lets grow: neighbours move aside, lines keep clear. */
    draw: (outcome: Outcome, ...more: Change[]): readonly Change[] | false => {
      if (!outcome.ok) return run(outcome);
      const changes = [...outcome.changes, ...more];
      const room = roomFor(get().map, changes, assignment.legend, isFixed(assignment));
      return run(outcome, ...more, ...room);
    },
    kindOfChip: (chip: Chip): string | null => chip.kind ?? get().next.topicKind,
    selectedTopics: (): string[] =>
      get()
        .map.topics.filter(({ id }) => get().selection.includes(id))
        .map(({ id }) => id),
    selectedLinks: (): string[] =>
      get()
        .map.links.filter(({ id }) => get().selection.includes(id))
        .map(({ id }) => id),
  };
}
/** The kind of line one draws unless one chooses another: the first that belongs to the structure. */
export const usualLinkKind = ({ linkKinds }: Legend): string | null =>
  (linkKinds.find(isStructural) ?? linkKinds[0])?.id ?? null;

export type Hand = ReturnType<typeof createHand>;

export const addedId = (changes: readonly Change[] | false, to: 'topics' | 'links'): string | null => {
  const added = changes && changes.find((change) => change.do === 'add' && change.to === to);
  return added && added.do === 'add' ? added.item.id : null;
};

/** The term of the bank that some words name. */
export const chipNamed = (chips: readonly Chip[], words: string): Chip | undefined =>
  chips.find((one) => normalForm(one.text) === normalForm(words.trim()));

/** What a topic keeps of the chip it was. */
export const ofChip = (chip: Chip | undefined): { origin?: string; parked?: true } => ({
  ...(chip?.origin !== undefined && { origin: chip.origin }),
  ...(chip?.own !== undefined && { parked: true }),
});

/** What placing a chip takes out of the student's own list. */
export const takeFromBank = (chip: Chip | undefined): Change[] => {
  const entry = chip?.own ?? chip?.noteEntry;
  return entry === undefined ? [] : [{ do: 'remove', from: 'wordBank', id: entry }];
};
