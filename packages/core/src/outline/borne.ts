import type { Topic, TopicMap } from '../map/types.js';
import { isBlank } from '../words/normal-form.js';
import { mapOutline } from './map-outline.js';

/** What a topic bears to be read, besides its words. */
export type Borne = Pick<Topic, 'note' | 'source' | 'weblinks' | 'files'>;

/** Whether there is anything to be read behind a topic: a note, a source, an address, a file. */
export const bearsWords = ({ note, source, weblinks = [], files = [] }: Borne): boolean =>
  !isBlank(note) || !isBlank(source) || weblinks.length > 0 || files.length > 0;

/** The topics behind which something stands to be read, in the order in which the map is read as an outline. */
export function bearersOf(map: TopicMap): Topic[] {
  const byId = new Map(map.topics.map((topic) => [topic.id, topic]));
  return mapOutline(map)
    .map(({ id }) => byId.get(id)!)
    .filter(bearsWords);
}
