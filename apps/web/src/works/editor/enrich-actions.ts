import {
  addWebAddress,
  makeRegion,
  outlineSentence,
  gatherText,
  removeMarks,
  removeWebAddress,
  respell,
  setBankNote,
  setNote,
  setRegion,
  setSequence,
  setSource,
  setTask,
  setWordGoal,
  toggleMark,
} from '@ichnograph/core';
import type { Chip, Frame, TopicTask } from '@ichnograph/core';
import { announce } from '../../common/announcer';
import type { Hand } from './hand';
import type { Spot } from './state';

/** What topics bear besides their words, regions around them, and text that comes from elsewhere. */
export function enrichActions({ legend, maker, get, set, run, refuse, selectedTopics }: Hand) {
  return {
    about: (about: boolean): void => set({ about }),
    setNote: (id: string, note: string): boolean =>
      get().map.topics.some((topic) => topic.id === id)
        ? run(setNote(get().map, id, note)) !== false
        : refuse(`The topic is gone: it was deleted meanwhile. What you wrote about it ended “${note.slice(-200)}”.`),
    setTask: (id: string, task: TopicTask | null): boolean => run(setTask(get().map, id, task)) !== false,
    setWordGoal: (id: string, words: number | null): boolean => run(setWordGoal(get().map, id, words)) !== false,
    setSource: (id: string, source: string): boolean => run(setSource(get().map, id, source)) !== false,
    addWebAddress: (id: string, url: string, title: string): boolean =>
      run(addWebAddress(get().map, id, url, title)) !== false,
    removeWebAddress: (id: string, url: string): void => void run(removeWebAddress(get().map, id, url)),
    setSequence: (id: string, sequence: number | null, when: string): boolean =>
      run(setSequence(get().map, id, sequence, when)) !== false,
    respell: (word: string, as: string): void => void run(respell(get().map, word, as, legend)),
    toggleMark: (mark: string): void => void run(toggleMark(get().map, selectedTopics(), mark)),
    /** Opens the dialog of a region: a new one around what is selected, or one that is there. */
    askRegion: (region: string | null): void => set({ region }),
    nameRegion: (title: string, fill?: string): void => {
      const { region, map } = get();
      set({ region: null });
      if (region === 'new') run(makeRegion(map, selectedTopics(), title, maker));
      else if (region) run(setRegion(map, region, { title, ...(fill !== undefined && { fill }) }));
    },
    removeRegion: (): void => {
      const { region, map } = get();
      set({ region: null });
      if (region) run(removeMarks(map, [region]));
    },
    sayWhy: (chip: Chip, note: string): void =>
      void run(setBankNote(get().map, { own: chip.own ?? chip.noteEntry, text: chip.text }, note, maker)),
    /**
     * Text from elsewhere laid onto the map: a branch, a list or a table. It hangs from the selected topic, if that is one.
     * @param at about where, when nothing is selected
     * @param frame what of the screen the map has
     */
    gatherText: (text: string, at: Spot, frame: Frame): void => {
      const { map, next } = get();
      const [under, ...others] = selectedTopics();
      const parent = others.length === 0 ? map.topics.find(({ id }) => id === under) : undefined;
      const spot = parent ? { x: parent.x, y: parent.y + parent.height / 2 + 120 } : at;
      const { outcome, messages } = gatherText(
        map,
        text,
        { at: spot, frame, kind: next.topicKind, linkKind: next.linkKind, ...(parent && { under: parent.id }) },
        maker,
        legend,
      );
      const changes = run(outcome);
      const added = changes
        ? changes.flatMap((change) => (change.do === 'add' && change.to === 'topics' ? [change.item.id] : []))
        : [];
      if (added.length > 0) {
        set({ selection: added });
        announce(added.length === 1 ? 'One topic is made.' : `${added.length} topics are made.`);
      }
      if (changes && messages.length > 0)
        set({
          refusal: messages
            .slice(0, 3)
            .map((message) => outlineSentence(message))
            .join(' '),
        });
    },
  };
}
