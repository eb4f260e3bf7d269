import {
  addLink,
  addToBank,
  applyChanges,
  boxOf,
  freeSpot,
  unionOf,
  asItsKind,
  askToComplete,
  copyMarks,
  done,
  drawnBox,
  entitle,
  goBackTo,
  hangFrom,
  hangsBy,
  moveMarks,
  ontoLegend,
  pasteMarks,
  deleteMarks,
  resizeTopic,
  setLoosePicture,
  setLinkKind,
  setLooks,
  setTopicKind,
  turnLinks,
} from '@ichnograph/core';
import type { Copied, LinkLooks, Outcome, TopicLooks, TopicMap } from '@ichnograph/core';
import { announce } from '../../common/announcer';
import { keepClip, keptClip, ontoOwn } from './clipboard';
import type { Clip } from './clipboard';
import { addedId } from './hand';
import type { Hand } from './hand';
import type { Spot } from './state';

/** How far below what is there another map is laid, canvas units. */
const BESIDE = 80;

/** The step that takes what is held to the free place nearest to a wanted one, else beside where it was. */
function freeStep(map: TopicMap, held: Copied, at?: Spot): Spot {
  const boxes = held.flatMap(({ marks }) =>
    marks.flatMap((mark) => ('width' in mark && 'x' in mark ? [boxOf(mark)] : [])),
  );
  const box = unionOf(boxes);
  if (!box) return { x: 30, y: 30 };
  const middle = { x: (box.left + box.right) / 2, y: (box.top + box.bottom) / 2 };
  const wanted = at ?? { x: middle.x + 30, y: middle.y + 30 };
  const spot = freeSpot(map, wanted, { width: box.right - box.left, height: box.bottom - box.top });
  return { x: spot.x - middle.x, y: spot.y - middle.y };
}

/** What is done to topics and links that are there. */
export function markActions({
  live,
  own,
  assignment,
  legend,
  maker,
  get,
  set,
  run,
  draw,
  selectedTopics,
  selectedLinks,
  refuse,
}: Hand) {
  let clip: Clip | null = null;
  /** topics and pictures that are selected: what can be copied */
  const standing = (): string[] => [...selectedTopics(), ...selectedPictures()];
  const selectedPictures = (): string[] =>
    get()
      .map.pictures.filter(({ id }) => get().selection.includes(id))
      .map(({ id }) => id);
  const clipOf = (text: string): Clip | null => {
    const words = text.replaceAll('\r\n', '\n');
    return [clip, keptClip(maker.by)].find((one) => one?.words === words) ?? null;
  };
  /** What was laid down, with all of it that hangs from nothing hung from a topic. */
  const hungUnder = (laid: Outcome, from: string): Outcome => {
    if (!laid.ok) return laid;
    const now = applyChanges(get().map, laid.changes);
    const hangs = hangsBy(now);
    const made = new Set(laid.changes.flatMap((one) => (one.do === 'add' ? [one.item.id] : [])));
    const tops = now.topics.filter(({ id }) => made.has(id) && !hangs.has(id)).map(({ id }) => id);
    if (tops.length === 0) return laid;
    const hung = hangFrom(now, { ids: tops, from, linkKind: get().next.linkKind }, maker, legend);
    return hung.ok ? done(...laid.changes, ...hung.changes) : hung;
  };
  const paste = (held: Copied | undefined, at?: Spot): void => {
    if (!held || held.length === 0) return;
    const changes = draw(pasteMarks(get().map, held, freeStep(get().map, held, at), maker));
    if (!changes) return;
    set({ selection: changes.flatMap((change) => (change.do === 'add' ? [change.item.id] : [])) });
    // The next paste lies beside this one.
    if (clip) clip = { ...clip, copied: copyMarks(get().map, standing()) };
  };
  return {
    move: (ids: readonly string[], step: Spot): void => void run(moveMarks(get().map, ids, step)),
    resize: (id: string, size: { width: number; height: number }): void =>
      void draw(
        get().map.pictures.some((picture) => picture.id === id)
          ? setLoosePicture(get().map, id, size)
          : resizeTopic(get().map, id, size, legend),
      ),
    /**
     * Joins two topics and opens the words of the link. Where there is one already its words are opened: what is typed next
     * was meant for a link, never for a topic.
     */
    link: (from: string, to: string): void => {
      const made = draw(addLink(get().map, { from, to, phrase: '', kind: get().next.linkKind }, maker));
      const there = get().map.links.find((one) => one.from === from && one.to === to);
      const id = addedId(made, 'links') ?? there?.id;
      if (id) set({ asking: null, selection: [id], typing: { what: 'phrase', id }, words: there?.phrase ?? '' });
    },
    turn: (): void => void run(turnLinks(get().map, selectedLinks())),
    setTopicKind: (kind: string | null): void => void run(setTopicKind(get().map, selectedTopics(), kind, assignment)),
    setLinkKind: (kind: string | null): void => void run(setLinkKind(get().map, selectedLinks(), kind, assignment)),
    setLooks: (looks: TopicLooks & LinkLooks): void =>
      void run(setLooks(get().map, get().selection, looks, assignment)),
    askToComplete: (is: boolean): void => void run(askToComplete(get().map, selectedTopics(), is)),
    asItsKind: (): void => void run(asItsKind(get().map, get().selection, assignment)),
    entitle: (fields: { title?: string; focusQuestion?: string }): void => void run(entitle(get().map, fields)),
    /** Deletes the selection; first asks when something in it was given. */
    remove: (sure = false): void => {
      const { selection, map, deleting } = get();
      const ids = deleting ?? selection;
      if (ids.length === 0) return;
      const given = !own && map.topics.some(({ id, origin }) => ids.includes(id) && origin !== undefined);
      if (given && !sure) return set({ deleting: [...ids] });
      set({ deleting: null });
      const changes = run(deleteMarks(map, ids));
      if (!changes) return;
      const gone = changes.filter((change) => change.do === 'remove').length;
      const waiting = changes.flatMap((change) =>
        change.do === 'add' && 'text' in change.item ? [change.item.text] : [],
      );
      announce(
        [
          `${gone === 1 ? 'One thing is' : `${gone} things are`} deleted.`,
          ...(waiting.length > 0 ? [`In the bank again: ${waiting.join(', ')}.`] : []),
          'Undo brings back what was there.',
        ].join(' '),
      );
    },
    keep: (): void => set({ deleting: null }),
    /** Copies topics for pasting here and on other maps. @returns their words, for pasting anywhere else */
    copy: (): string => {
      const ids = standing();
      const words = get()
        .map.topics.filter(({ id }) => ids.includes(id))
        .map(({ text }) => text)
        .join('\n');
      clip = { words, copied: copyMarks(get().map, ids), legend };
      keepClip(maker.by, clip);
      return words;
    },
    /** Whether text on the system's clipboard is what was copied on a map of one's own. */
    isCopied: (text: string): boolean => clipOf(text) !== null,
    /** @param text what is on the system's clipboard; left out, what was copied last */
    paste: (text?: string): void => {
      const held = text === undefined ? (clip ?? keptClip(maker.by)) : clipOf(text);
      paste(held ? ontoOwn(held, legend) : undefined);
    },
    /** The same, to a place that was pointed at. */
    pasteAt: (at: Spot): void => {
      const held = clip ?? keptClip(maker.by);
      paste(held ? ontoOwn(held, legend) : undefined, at);
    },
    /** Takes up a file that was dropped or pasted, to be looked at before anything is made of it. */
    holdFile: (brought: File | null): void => set({ brought }),
    /** Keeps the words of another map's topics in the bank, to be placed by hand. */
    keepAsTerms: (other: TopicMap): void => {
      const texts = other.topics.map(({ text }) => text.replace(/\s+/g, ' ').trim());
      const kept = run(addToBank(get().map, texts.join('\n'), assignment, maker));
      if (kept)
        announce(kept.length === 1 ? 'One term waits to be placed.' : `${kept.length} terms wait to be placed.`);
    },
    /**
     * Lays a copy of another map beside what is drawn here.
     * @param under a topic that what hangs from nothing in it is hung from
     */
    bringIn: (other: TopicMap, under?: string): void => {
      const told = ontoLegend(other, legend);
      const ids = [...told.topics, ...told.pictures].map(({ id }) => id);
      const [here, there] = [drawnBox(get().map, legend), drawnBox(told, legend)];
      const step = here && there ? { x: here.left - there.left, y: here.bottom + BESIDE - there.top } : { x: 0, y: 0 };
      const laid = pasteMarks(get().map, copyMarks(told, ids), step, maker);
      const changes = run(under === undefined ? laid : hungUnder(laid, under));
      if (!changes) return;
      set({ selection: changes.flatMap((change) => (change.do === 'add' ? [change.item.id] : [])) });
      announce(`${told.topics.length} topics are brought in.`);
    },
    duplicate: (): void => paste(copyMarks(get().map, standing())),
    goBackTo: (then: TopicMap): boolean => {
      set({ selection: [] });
      return run(goBackTo(get().map, then)) !== false;
    },
    refuse: (reason: string): void => void refuse(reason),
    undo: (): void => {
      live.undo();
      announce('Undone.');
    },
    redo: (): void => {
      live.redo();
      announce('Done again.');
    },
  };
}
