import {
  deleteRows,
  hangInOrder,
  indent,
  moveInOrder,
  outdent,
  refused,
  setLinkKind,
  setTopicKind,
  toggleFold,
  topicNamed,
  turnLinks,
  wordsAndNote,
  writeSentence,
} from '@ichnograph/core';
import type { Chip, Place } from '@ichnograph/core';
import { announce } from '../../common/announcer';
import { addedId, chipNamed, ofChip, takeFromBank } from './hand';
import type { Hand } from './hand';
import type { Spot } from './state';

/** What is done to a map where it is read as a list: its sentences and its outline. */
export function listActions({ own, assignment, legend, maker, get, set, run, draw, kindOfChip }: Hand) {
  const textOf = (id: string): string => get().map.topics.find((one) => one.id === id)?.text ?? '';
  const above = (id: string): string => {
    const { map } = get();
    const by = map.links.find(({ to }) => to === id);
    return by ? textOf(by.from) : '';
  };
  return {
    /** Opens an end of a sentence for typing. @param fresh for letters that take the place of its words */
    editEnd: (id: string, end: 'from' | 'to', fresh = false): void => {
      const link = get().map.links.find((one) => one.id === id);
      if (!link) return;
      const given = !own && get().map.topics.find((one) => one.id === link[end])?.origin !== undefined;
      const over = fresh && !given;
      set({
        typing: { what: 'end', id, end, ...(over && { fresh: over }) },
        words: over ? '' : textOf(link[end]),
        refusal:
          fresh && given
            ? 'This topic was given. What you type comes behind its words; Escape leaves it as it was.'
            : null,
      });
    },
    /** Opens the words of several links at once, for one text. */
    editPhrases: (id: string, also: readonly string[], fresh = false): void => {
      const link = get().map.links.find((one) => one.id === id);
      if (!link) return;
      set({
        typing: { what: 'phrase', id, also, ...(fresh && { fresh }) },
        words: fresh ? '' : link.phrase,
        refusal: null,
      });
    },
    /** Writes a whole sentence: its ends are taken from the map or from the bank, or made. @returns its link, or null */
    writeSentence: (from: string, phrase: string, to: string, at: Spot): string | null => {
      const { map, chips, next } = get();
      const taken: Chip[] = [];
      const named = (words: string) => {
        const chip = topicNamed(map, words) ? undefined : chipNamed(chips, words);
        if (chip) taken.push(chip);
        return {
          ...wordsAndNote(words.trim()),
          kind: chip ? kindOfChip(chip) : next.topicKind,
          ...ofChip(chip),
        };
      };
      const wanted = { from: named(from), phrase, to: named(to), kind: next.linkKind, at };
      const id = addedId(draw(writeSentence(map, wanted, maker, legend), ...taken.flatMap(takeFromBank)), 'links');
      if (id === null) return null;
      set({ selection: [id] });
      announce(`On the map: ${from.trim()} ${phrase.trim() || 'without words'} ${to.trim()}.`);
      return id;
    },
    setKindOfLinks: (ids: readonly string[], kind: string | null): void =>
      void run(setLinkKind(get().map, ids, kind, assignment)),
    /** Ties a topic to the one that some words name, which is made if it is not there. @returns whether it is */
    tie: (id: string, phrase: string, to: string): boolean => {
      const { map, chips, next } = get();
      const from = map.topics.find((one) => one.id === id);
      if (!from) return run(refused('topicGone')) !== false;
      const chip = topicNamed(map, to) ? undefined : chipNamed(chips, to);
      const other = { ...wordsAndNote(to.trim()), kind: chip ? kindOfChip(chip) : next.topicKind, ...ofChip(chip) };
      const wanted = { from, phrase, to: other, kind: next.linkKind, at: from };
      const made = draw(writeSentence(map, wanted, maker, legend), ...takeFromBank(chip));
      if (made) announce(`${from.text} ${phrase} ${to.trim()}.`);
      return made !== false;
    },
    deleteRows: (ids: readonly string[]): void => {
      // What was given is asked about first, as on the map.
      if (!own && get().map.topics.some(({ id, origin }) => ids.includes(id) && origin !== undefined))
        return set({ selection: ids, deleting: [...ids] });
      if (run(deleteRows(get().map, ids, maker, legend)))
        announce('Deleted. What hung from it hangs one higher. Undo brings it back.');
    },
    foldThese: (ids: readonly string[]): void => void run(toggleFold(get().map, ids)),
    setKindOfTopic: (id: string, kind: string | null): void =>
      void draw(setTopicKind(get().map, [id], kind, assignment)),
    turnThese: (ids: readonly string[]): void => {
      if (run(turnLinks(get().map, ids))) announce(ids.length === 1 ? 'Turned round.' : `${ids.length} turned round.`);
    },
    /** Opens a new row of the outline, or takes what is typed in one to another place. */
    writeRow: (after: string | null, as: 'beside' | 'below'): void =>
      set({
        typing: { what: 'row', after, as },
        words: get().typing?.what === 'row' ? get().words : '',
        refusal: null,
      }),
    /** What was kept for a new topic, as a new row where the map is read as a list. */
    keptAsRow: (after: string | null): void => set({ typing: { what: 'row', after, as: 'beside' } }),
    moveInOrder: (id: string, by: 1 | -1): void => {
      if (run(moveInOrder(get().map, id, by))) announce(by < 0 ? 'One earlier.' : 'One later.');
    },
    indent: (id: string): void => {
      if (draw(indent(get().map, id, get().next.linkKind, maker, legend))) announce(`Below ${above(id)}.`);
    },
    outdent: (id: string): void => {
      if (draw(outdent(get().map, id, maker, legend)))
        announce(above(id) === '' ? 'At the margin.' : `Below ${above(id)}.`);
    },
    /** Hangs a row where it was let go: from a topic, after one that hangs there, or first. */
    hangRow: (id: string, from: string, place: Place): void => {
      const { map, next } = get();
      if (draw(hangInOrder(map, { id, from, place, linkKind: next.linkKind }, maker, legend)))
        announce(`${textOf(id)} hangs from ${textOf(from)}.`);
    },
  };
}
