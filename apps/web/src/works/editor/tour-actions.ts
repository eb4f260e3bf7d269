import {
  addStops,
  makeTour,
  moveStop,
  nameTour,
  removeStop,
  removeTour,
  sayAtStop,
  topicNamed,
} from '@ichnograph/core';
import { announce } from '../../common/announcer';
import type { Hand } from './hand';

/** Tours through the map: their stops and what is said at each. */
export function tourActions({ maker, get, run, refuse }: Hand) {
  return {
    /** @returns its id, or null where it was refused */
    makeTour: (title: string, topics: readonly string[]): string | null => {
      const changes = run(makeTour(get().map, title, topics, maker));
      const [made] = changes ? changes : [];
      return made?.do === 'add' ? made.item.id : null;
    },
    nameTour: (id: string, title: string): boolean => run(nameTour(get().map, id, title)) !== false,
    removeTour: (id: string): void => {
      if (run(removeTour(get().map, id))) announce('The tour is deleted. Undo brings it back.');
    },
    addStops: (id: string, topics: readonly string[]): void => void run(addStops(get().map, id, topics)),
    /** @returns whether there is a topic with those words to stop at */
    addStop: (id: string, words: string): boolean => {
      const topic = topicNamed(get().map, words);
      if (!topic) return refuse(`No topic reads “${words.trim()}”.`);
      return run(addStops(get().map, id, [topic.id])) !== false;
    },
    removeStop: (id: string, at: number): void => void run(removeStop(get().map, id, at)),
    moveStop: (id: string, from: number, to: number): void => void run(moveStop(get().map, id, from, to)),
    sayAtStop: (id: string, at: number, words: string): boolean => run(sayAtStop(get().map, id, at, words)) !== false,
  };
}
