import { unionOf } from '../geometry/points.js';
import type { Box, Point } from '../geometry/points.js';
import { COLLECTIONS } from '../map/types.js';
import type { Collection, Legend, MemberOf, TopicMap } from '../map/types.js';
import { linkMark } from './link-mark.js';
import type { Drawing, MarkType, Scene } from './mark-type.js';
import { pictureMark } from './picture-mark.js';
import { regionMark } from './region-mark.js';
import { topicMark } from './topic-mark.js';
import { bankMark, groupMark, tourMark } from './unseen-marks.js';

/** All sorts of marks, by the list of a map that holds them. */
const MARKS: { [C in Collection]: MarkType<MemberOf<C>> } = {
  topics: topicMark,
  links: linkMark,
  pictures: pictureMark,
  regions: regionMark,
  groups: groupMark,
  tours: tourMark,
  wordBank: bankMark,
};

export type AnyMark = MemberOf<Collection>;

/** In the order of a map's lists: topics before what hangs on them. */
export const markTypes: readonly MarkType<AnyMark>[] = COLLECTIONS.map((list) => MARKS[list]);

export const marksOf = (map: TopicMap, { list }: Pick<MarkType, 'list'>): readonly AnyMark[] => map[list];

/** What is drawn first at one z. */
const LAYERS: readonly Collection[] = ['regions', 'pictures', 'links', 'topics'];
const layered = LAYERS.map((list): MarkType<AnyMark> => MARKS[list]);

export const sceneOf = ({ topics }: TopicMap, legend: Legend | undefined): Scene => ({
  legend,
  topicById: new Map(topics.map((topic) => [topic.id, topic])),
});

export interface DrawnMark {
  list: Collection;
  id: string;
  drawing: Drawing;
}

/**
 * Everything there is to see of a map, what is drawn first first: by z, at one z regions, pictures, links, topics, in file
 * order.
 * @param lists only of these
 */
export function drawnMarks(
  map: TopicMap,
  legend: Legend | undefined,
  lists: readonly Collection[] = LAYERS,
): DrawnMark[] {
  const scene = sceneOf(map, legend);
  return layered
    .filter(({ list }) => lists.includes(list))
    .flatMap((type) =>
      marksOf(map, type).flatMap((mark): DrawnMark[] => {
        const drawing = type.draw(mark, scene);
        return drawing ? [{ list: type.list, id: mark.id, drawing }] : [];
      }),
    )
    .sort((a, b) => a.drawing.z - b.drawing.z);
}

/** One mark as it is drawn. */
export const drawMark = <C extends Collection>(list: C, mark: MemberOf<C>, scene: Scene): Drawing | null =>
  (MARKS[list] as MarkType<MemberOf<C>>).draw(mark, scene);

/** The box around all that is drawn of a map, in canvas units; null for an empty one. */
export function drawnBox(map: TopicMap, legend: Legend | undefined): Box | null {
  const scene = sceneOf(map, legend);
  return unionOf(layered.flatMap((type) => marksOf(map, type).flatMap((mark) => type.bounds(mark, scene) ?? [])));
}

/** The boxes around what is drawn of one list's marks, by id. */
export function markBoxes(map: TopicMap, legend: Legend | undefined, list: Collection): Map<string, Box> {
  const [scene, type] = [sceneOf(map, legend), MARKS[list] as MarkType<AnyMark>];
  return new Map(
    marksOf(map, type).flatMap((mark): [string, Box][] => {
      const box = type.bounds(mark, scene);
      return box ? [[mark.id, box]] : [];
    }),
  );
}

/** The id of the topmost mark of some list at a point of the map. */
export function markAt(map: TopicMap, legend: Legend | undefined, list: Collection, at: Point): string | undefined {
  const [scene, type] = [sceneOf(map, legend), MARKS[list] as MarkType<AnyMark>];
  const there = new Set(
    marksOf(map, type)
      .filter((mark) => type.hits(mark, at, scene))
      .map(({ id }) => id),
  );
  return there.size === 0 ? undefined : drawnMarks(map, legend, [list]).findLast(({ id }) => there.has(id))?.id;
}
