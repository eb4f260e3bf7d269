import {
  addTopic,
  addFile,
  addLoosePicture,
  addPicture,
  asTopics,
  layPaper,
  removeFile,
  removePicture,
  setLoosePicture,
  setPicture,
  setWordless,
} from '@ichnograph/core';
import type { NewPicture } from '@ichnograph/core';
import { announce } from '../../common/announcer';
import { sentenceOfError } from '../../common/api';
import { bring, shownSize } from '../../pictures';
import type { Chosen } from '../../pictures';
import { addedId } from './hand';
import type { Hand } from './hand';
import type { PictureTab, Replaced, Spot } from './state';

/** Pictures and files: chosen, brought, dropped, pasted. */
/** How large a picture is shown that a topic begins with, canvas units. */
const PICTURE_FIRST = { width: 96, height: 96 };

export function pictureActions({ assignment, legend, maker, get, set, run, refuse, selectedTopics }: Hand) {
  const lay = (picture: NewPicture, topics: readonly string[], at: Spot): boolean => {
    if (topics.length > 0) {
      if (!run(addPicture(get().map, topics, picture, legend))) return false;
      announce(topics.length === 1 ? 'The picture is in the topic.' : `The picture is in ${topics.length} topics.`);
      return true;
    }
    if (assignment.drawing?.pictureFirst) return isTopicOf(picture, at);
    const changes = run(addLoosePicture(get().map, picture, at, maker));
    const [added] = changes || [];
    if (added?.do !== 'add') return false;
    set({ selection: [added.item.id] });
    announce('The picture is on the map.');
    return true;
  };
  /** For the young: a picture that goes onto the map is a topic, with what it shows for its words. */
  const isTopicOf = (picture: NewPicture, at: Spot): boolean => {
    const text = picture.alt || 'My picture';
    const wanted = {
      text: text.slice(0, 300),
      kind: get().next.topicKind,
      at,
      pictures: [{ ...PICTURE_FIRST, ...picture }],
    };
    const id = addedId(run(addTopic(get().map, wanted, maker, legend)), 'topics');
    if (!id) return false;
    set({ selection: [id], typing: { what: 'topic', id }, words: text });
    return true;
  };
  const replace = (picture: NewPicture, { of, src }: Replaced): boolean =>
    run(
      src === null
        ? setLoosePicture(get().map, of, picture)
        : setPicture(get().map, of, src, { ...picture, width: picture.width, height: picture.height }, legend),
    ) !== false;
  /** The dialog goes on where more is to be chosen, and what was selected stays so. */
  const goOn = ({ pictures, selection }: ReturnType<typeof get>): void =>
    set({ pictures, selection, typing: null, words: '' });
  return {
    /** Opens the pictures: to add one, or (asked for) to put another in the place of one that is there. */
    openPictures: (tab: PictureTab, replaces: Replaced | null = null): void =>
      set({ pictures: { tab, replaces }, about: false }),
    closePictures: (): void => set({ pictures: null }),
    /**
     * Puts a picture where the dialog said it would go: into what is selected, or onto the map.
     * @param stays whether the dialog stays open for more; what was selected stays so then
     */
    takePicture: (picture: NewPicture, at: Spot, stays = false): boolean => {
      const before = get();
      const replaces = before.pictures?.replaces ?? null;
      const isIn = replaces ? replace(picture, replaces) : lay(picture, selectedTopics(), at);
      if (isIn && stays) goOn(before);
      else if (isIn) set({ pictures: null });
      return isIn;
    },
    /** A picture that was carried from the dialog to the map: into the topics it was let go on, or beside them. */
    dropPicture: ({ name, ...picture }: Chosen, topics: readonly string[], at: Spot): void => {
      const before = get();
      const size = picture.width === null ? {} : shownSize(picture, topics.length > 0);
      if (lay({ src: picture.src, alt: name, ...size }, topics, at)) goOn(before);
    },
    setWordless: (is: boolean): void => void run(setWordless(get().map, selectedTopics(), is, legend)),
    /** Makes the selected loose pictures topics, which can be linked. */
    picturesAsTopics: (): void => {
      const { map, selection, next } = get();
      const made = run(asTopics(map, selection, next.topicKind, maker, legend));
      if (!made) return;
      const ids = made.flatMap((change) => (change.do === 'add' ? [change.item.id] : []));
      set({ selection: ids });
    },
    lookLarge: (src: string | null): void => set({ large: src }),
    describePicture: (id: string, src: string, alt: string): boolean =>
      run(setPicture(get().map, id, src, { alt }, legend)) !== false,
    sizePicture: (id: string, src: string, size: { width: number; height: number }): void =>
      void run(setPicture(get().map, id, src, size, legend)),
    removePicture: (id: string, src: string): void => void run(removePicture(get().map, id, src, legend)),
    setLoose: (id: string, fields: Parameters<typeof setLoosePicture>[2]): boolean =>
      run(setLoosePicture(get().map, id, fields)) !== false,
    layPaper: (pages: Parameters<typeof layPaper>[1], at: Spot): boolean => {
      if (!run(layPaper(get().map, pages, at, maker))) return false;
      announce(pages.length === 1 ? 'The page lies under the map.' : `${pages.length} pages lie under the map.`);
      return true;
    },
    removeFile: (id: string, src: string): void => void run(removeFile(get().map, id, src)),
    /**
     * Files from outside: pictures go into topics or onto the map, all else stands beside what a topic bears.
     * @param topics into which; none lays pictures loose
     */
    bringFiles: async (files: readonly File[], topics: readonly string[], at: Spot): Promise<void> => {
      set({ bringing: get().bringing + files.length });
      for (const [i, file] of files.entries()) {
        try {
          const row = await bring(file);
          if (row.width !== null && row.height !== null)
            lay({ src: row.src, alt: '', ...shownSize(row, topics.length > 0) }, topics, {
              x: at.x + i * 24,
              y: at.y + i * 24,
            });
          else if (topics.length === 1) {
            if (run(addFile(get().map, topics[0]!, { src: row.src, name: row.name })))
              announce(`${row.name} is with the topic.`);
          } else refuse(`“${file.name}” is no picture. Drop it on the topic it belongs to.`);
        } catch (error) {
          refuse(`“${file.name}”: ${sentenceOfError(error)}`);
        } finally {
          set({ bringing: get().bringing - 1 });
        }
      }
    },
  };
}
