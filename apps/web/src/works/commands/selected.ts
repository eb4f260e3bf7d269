import { branchOf } from '@ichnograph/core';
import type { EditorState } from '../editor';

/** What is selected, as commands ask it. */

type Selected = Pick<EditorState, 'map' | 'selection'>;

interface Found {
  map: Selected['map'];
  topics: EditorState['map']['topics'];
  links: EditorState['map']['links'];
  pictures: EditorState['map']['pictures'];
}
const found = new WeakMap<readonly string[], Found>();

/** What of the map is selected: looked for once for all the buttons that ask it of one selection and map. */
export function chosenOf({ map, selection }: Selected): Found {
  const known = found.get(selection);
  if (known?.map === map) return known;
  const ids = new Set(selection);
  const of = <T extends { id: string }>(list: readonly T[]): T[] => list.filter(({ id }) => ids.has(id));
  const now = { map, topics: of(map.topics), links: of(map.links), pictures: of(map.pictures) };
  found.set(selection, now);
  return now;
}

export const topicsIn = (state: Selected): number => chosenOf(state).topics.length;
export const linksIn = (state: Selected): number => chosenOf(state).links.length;
export const picturesIn = (state: Selected): Found['pictures'] => chosenOf(state).pictures;

export const anything = ({ selection }: Selected): boolean => selection.length > 0;
export const one = ({ selection }: Selected): boolean => selection.length === 1;
export const someTopic = (state: Selected): boolean => topicsIn(state) > 0;
export const someLink = (state: Selected): boolean => linksIn(state) > 0;
export const several = (state: Selected): boolean => topicsIn(state) > 1;
export const oneTopic = (state: Selected): boolean => one(state) && topicsIn(state) === 1;
export const oneLink = (state: Selected): boolean => one(state) && linksIn(state) === 1;
/** What can be copied: links go with their topics. */
export const copying = (state: Selected): boolean => someTopic(state) || picturesIn(state).length > 0;

/** Whether something hangs from the selected topics that is not selected with them. */
export function hasBranch(state: Selected): boolean {
  const topics = chosenOf(state).topics.map(({ id }) => id);
  return topics.length > 0 && branchOf(state.map, topics).length > topics.length;
}

/** Pictures of what is selected: loose ones, and those in topics. */
export const shownIn = (state: Selected): string[] => [
  ...picturesIn(state).map(({ src }) => src),
  ...chosenOf(state).topics.flatMap(({ pictures = [] }) => pictures.map(({ src }) => src)),
];
