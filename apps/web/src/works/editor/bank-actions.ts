import { addTopic, addToBank, freeSpot, gatherText, growTopic, outlineSentence } from '@ichnograph/core';
import type { Chip } from '@ichnograph/core';
import { announce } from '../../common/announcer';
import { addedId, ofChip, takeFromBank } from './hand';
import type { Hand } from './hand';
import type { Spot } from './state';

/** Terms from the word bank onto the map, and into it. */
export function bankActions({ live, assignment, legend, maker, get, set, run, draw, kindOfChip }: Hand) {
  const place = (chip: Chip, at: Spot): string | null => {
    const wanted = {
      text: chip.text,
      kind: kindOfChip(chip),
      at,
      ...ofChip(chip),
    };
    const id = addedId(draw(addTopic(get().map, wanted, maker, legend), ...takeFromBank(chip)), 'topics');
    if (!id) return null;
    set({ selection: [id], chip: null });
    announce(`${chip.text} is on the map.`);
    return id;
  };
  return {
    look: (chip: Chip | null): void => set({ chip }),
    /** @returns the id of the topic that was made */
    place,
    /** Places a chip that was dropped on a topic: below it, linked to it. */
    placeUnder: (chip: Chip, from: string): void => {
      const linkKind = get().next.linkKind;
      const wanted = { from, text: chip.text, kind: kindOfChip(chip), linkKind, ...ofChip(chip) };
      const made = draw(growTopic(get().map, wanted, maker, legend), ...takeFromBank(chip));
      const link = addedId(made, 'links');
      if (link) set({ selection: [link], chip: null, typing: { what: 'phrase', id: link }, words: '' });
    },
    /** Places a chip that was not dropped anywhere: in the nearest free place. */
    placeNear: (chip: Chip, near: Spot): string | null =>
      place(chip, freeSpot(get().map, near, { width: 120, height: 40 })),
    /**
     * Terms straight onto free space of the map, one a line: new topics, never over each other. What was selected stays so,
     * so that the next term goes where this one went.
     * @param under the topic they are joined to; null joins them to nothing
     */
    gatherOnto: (text: string, under: string | null, near: Spot): boolean => {
      const { next } = get();
      const wanted = { at: near, kind: next.topicKind, linkKind: next.linkKind, ...(under !== null && { under }) };
      const lines = text.split(/\r\n|\r|\n/).map((line) => line.trim());
      const { outcome, messages } = gatherText(get().map, lines.join('\n'), wanted, maker, legend);
      const changes = draw(outcome);
      if (!changes) return false;
      const made = changes.filter((change) => change.do === 'add' && change.to === 'topics').length;
      if (made === 0) set({ refusal: 'That is on the map already.' });
      else announce(made === 1 ? `${text.trim()} is on the map.` : `${made} topics are on the map.`);
      if (messages.length > 0)
        set({
          refusal: messages
            .slice(0, 3)
            .map((one) => outlineSentence(one))
            .join(' '),
        });
      return true;
    },
    addToBank: (text: string): boolean => {
      const changes = run(addToBank(get().map, text, assignment, maker));
      if (changes)
        announce(
          changes.length === 1 ? `${text.trim()} waits in the bank.` : `${changes.length} terms wait in the bank.`,
        );
      return changes !== false;
    },
    takeFromBank: (chip: Chip): void => {
      live.apply(takeFromBank(chip));
      announce(`${chip.text} is out of the bank.`);
    },
  };
}
