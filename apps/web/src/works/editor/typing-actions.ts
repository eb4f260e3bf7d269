import {
  addInOrder,
  addTopic,
  branchFill,
  freeSpot,
  growTopic,
  hangsBy,
  isBlank,
  placeUnder,
  refused,
  setPhrases,
  LIMITS,
  setTextOrNote,
  splitLink,
  wordsAndNote,
  writeEnd,
} from '@ichnograph/core';
import type { Change, Outcome, TopicMap } from '@ichnograph/core';
import { addedId, chipNamed, ofChip, takeFromBank } from './hand';
import type { Hand } from './hand';
import type { Spot, Typing } from './state';

/** The size of a topic before its words are known, canvas units. */
const GUESSED = { width: 110, height: 40 };

/** Where a new row of the outline is drawn that hangs from nothing: by what it is read after. */
const besideOf = ({ topics }: TopicMap, id: string | null): Spot =>
  topics.find((one) => one.id === id) ?? topics.at(-1) ?? { x: 0, y: 0 };

/** What is typed in a list, as it goes on where the map is drawn. */
function onDrawing(map: TopicMap, typing: Typing): Typing {
  if (typing.what === 'end') return { what: 'topic', id: map.links.find(({ id }) => id === typing.id)![typing.end] };
  if (typing.what !== 'row') return typing;
  const from = typing.as === 'below' ? typing.after : (hangsBy(map).get(typing.after ?? '')?.from ?? null);
  return { what: 'new', at: freeSpot(map, besideOf(map, typing.after), GUESSED), from };
}

/** Words on the map, from the first letter to the last. */
export function typingActions(
  { assignment, legend, maker, get, set, run, draw, refuse, kindOfChip, selectedTopics }: Hand,
  /** takes in what others wrote meanwhile */
  mergeWords: () => void,
) {
  const make = (at: Spot, from: string | null = null): void =>
    set({ typing: { what: 'new', at, from }, words: '', refusal: null });
  const edit = (id: string): void => {
    const topic = get().map.topics.find((one) => one.id === id);
    const link = get().map.links.find((one) => one.id === id);
    const picture = get().map.pictures.find((one) => one.id === id);
    if (picture) set({ large: picture.src });
    if (topic) set({ typing: { what: 'topic', id }, words: topic.text, selection: [id], refusal: null });
    if (link) set({ typing: { what: 'phrase', id }, words: link.phrase, selection: [id], refusal: null });
  };
  return {
    /** Begins typing a new topic at a spot, hanging from another when `from` is given. */
    make,
    /** A child of the selected topic, or a sibling: a child of what it hangs from. */
    grow: (sibling: boolean): void => {
      const [id] = selectedTopics();
      const { map } = get();
      const topic = map.topics.find((one) => one.id === id);
      if (!topic) return;
      const from = sibling ? (map.links.find(({ to }) => to === id)?.from ?? null) : topic.id;
      const parent = map.topics.find((one) => one.id === from);
      const on = parent && placeUnder(map, parent, GUESSED, legend);
      if (on?.course.bend !== undefined)
        return set({ typing: { what: 'new', at: on.spot, from, onTrunk: true }, words: '', refusal: null });
      const beside = {
        x: topic.x + (sibling ? topic.width + 40 : 0),
        y: sibling ? topic.y : topic.y + topic.height / 2 + 90,
      };
      make(freeSpot(map, beside, GUESSED), from);
    },
    /** A topic in the middle of the selected link, or of the link by which the selected topic hangs. */
    between: (): void => {
      const { map, selection } = get();
      const [id] = selection;
      const link = map.links.find((one) => one.id === id) ?? hangsBy(map).get(id ?? '');
      if (!link) return void run(refused('hangsFromNothing'));
      const [from, to] = [link.from, link.to].map((end) => map.topics.find((one) => one.id === end)!);
      const at = { x: (from!.x + to!.x) / 2, y: (from!.y + to!.y) / 2 };
      set({ typing: { what: 'new', at, from: null, between: link.id }, words: '', refusal: null });
    },
    edit,
    /**
     * Opens the field of a mark for letters that are about to come: they take the place of its words. What was given is
     * not overwritten: there they come behind its words.
     */
    typeOver: (id: string): void => {
      // A picture has no words on the map.
      if (get().map.pictures.some((one) => one.id === id)) return;
      edit(id);
      const { typing, map } = get();
      if (typing === null || !('id' in typing)) return;
      const given = map.topics.find((one) => one.id === id)?.origin !== undefined;
      if (given)
        set({ refusal: 'This topic was given. What you type comes behind its words; Escape leaves it as it was.' });
      else set({ typing: { ...typing, fresh: true }, words: '' });
    },
    /** Takes up what was being typed when the page was left. */
    resume: (typing: Typing, words: string, wordsOf: string | null): void => {
      const { map } = get();
      const there = !('id' in typing) || [...map.topics, ...map.links].some(({ id }) => id === typing.id);
      // The page opens with the drawing: what was typed in a list goes on there.
      if (!there) return;
      set({ typing: onDrawing(map, typing), words });
      if (typing.what !== 'topic' && typing.what !== 'phrase') return;
      set({ wordsOf });
      mergeWords();
    },
    type: (words: string): void => set({ words }),
    cancelTyping: (): void => set({ typing: null, words: '', refusal: null }),
    /** Ends typing. An empty new topic vanishes; a grown one goes on to the words of its link. */
    commit: (): void => {
      const { typing, words, map, next, chips } = get();
      if (!typing) return;
      set({ typing: null, words: '' });
      // Opened by a key that brought no letter after all.
      if ('fresh' in typing && typing.fresh && words === '') return;
      /** What was refused is not lost: the field stays open, with its words, beside the reason. */
      const runOrKeep = (outcome: Outcome, ...more: Change[]): readonly Change[] | false => {
        const made = draw(outcome, ...more);
        if (!made && words !== '') set({ typing, words });
        return made;
      };
      if (typing.what === 'phrase') return void runOrKeep(setPhrases(map, [typing.id, ...(typing.also ?? [])], words));
      const sayInNote = (made: readonly Change[] | false): void => {
        if (made && words.trim().length > LIMITS.text)
          refuse(`That is longer than ${LIMITS.text} characters: all of it is in the topic’s note.`);
      };
      if (typing.what === 'end') return void runOrKeep(writeEnd(map, typing.id, typing.end, words, legend));
      if (typing.what === 'topic') return sayInNote(runOrKeep(setTextOrNote(map, typing.id, words, legend)));
      if (isBlank(words)) return;
      const chip = chipNamed(chips, words);
      const wanted = {
        ...wordsAndNote(words.trim()),
        kind: chip ? kindOfChip(chip) : next.topicKind,
        ...ofChip(chip),
      };
      if (typing.what === 'row') {
        const { after, as } = typing;
        const row = { ...wanted, after, as, phrase: '', linkKind: next.linkKind };
        const at = freeSpot(map, besideOf(map, after), GUESSED);
        const made = runOrKeep(addInOrder(map, row, at, maker, legend), ...takeFromBank(chip));
        sayInNote(made);
        const id = addedId(made, 'topics');
        if (id) set({ selection: [id] });
        return;
      }
      const fill = branchFill(map, typing.from, assignment);
      const parent = typing.from !== null && map.topics.some(({ id }) => id === typing.from) ? typing.from : null;
      const made = runOrKeep(
        typing.between !== undefined
          ? splitLink(map, typing.between, wanted, maker, legend)
          : parent
            ? growTopic(
                map,
                { ...wanted, fill, from: parent, linkKind: next.linkKind, ...(!typing.onTrunk && { at: typing.at }) },
                maker,
                legend,
              )
            : addTopic(map, { ...wanted, at: typing.at }, maker, legend),
        ...takeFromBank(chip),
      );
      sayInNote(made);
      const id = addedId(made, 'topics');
      if (id) set({ selection: [id] });
      const link = addedId(made, 'links');
      if (link) set({ typing: { what: 'phrase', id: link }, words: '' });
    },
  };
}
