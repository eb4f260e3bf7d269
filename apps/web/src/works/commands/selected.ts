import { branchOf } from '@ichnograph/core';
import type { EditorState } from '../editor';

/** What is selected, as commands ask it. */

type Selected = Pick<EditorState, 'map' | 'selection'>;

export const topicsIn = ({ map, selection }: Selected): number =>
  map.topics.filter(({ id }) => selection.includes(id)).length;
export const linksIn = ({ map, selection }: Selected): number =>
  map.links.filter(({ id }) => selection.includes(id)).length;
export const picturesIn = ({ map, selection }: Selected): EditorState['map']['pictures'] =>
  map.pictures.filter(({ id }) => selection.includes(id));

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
export function hasBranch({ map, selection }: Selected): boolean {
  const topics = map.topics.flatMap(({ id }) => (selection.includes(id) ? [id] : []));
  return topics.length > 0 && branchOf(map, topics).length > topics.length;
}

/** Pictures of what is selected: loose ones, and those in topics. */
export const shownIn = (state: Selected): string[] => [
  ...picturesIn(state).map(({ src }) => src),
  ...state.map.topics.flatMap(({ id, pictures = [] }) =>
    state.selection.includes(id) ? pictures.map(({ src }) => src) : [],
  ),
];
