import { done, refused } from '../map/changes.js';
import type { Change, Maker, Outcome } from '../map/changes.js';
import { LIMITS, LONGEST } from '../map/types.js';
import type { Legend, LoosePicture, Topic, TopicMap } from '../map/types.js';
import { isBlank } from '../words/normal-form.js';
import { fitTopic } from '../geometry/fit.js';
import { boxOf } from '../geometry/points.js';
import { freeSpot } from './free-spot.js';
import { onMap, refitted, topicOf } from './maker.js';
import type { Spot } from './maker.js';

/** Pictures and files: in topics, and pictures that belong to none. Nothing here takes the place of another unless asked. */

const [MOST_PICTURES, MOST_FILES, MOST_ALT] = [12, 20, 2000];
/** No picture is drawn smaller by a hand, canvas units. */
const LEAST_SIDE = 16;

export interface NewPicture {
  src: string;
  /** for those who cannot see it */
  alt: string;
  /** canvas units; left out, core's own size */
  width?: number;
  height?: number;
}
type TopicPicture = NonNullable<Topic['pictures']>[number];

const side = (length: number): number => Math.round(Math.min(LONGEST, Math.max(LEAST_SIDE, length)));
const ALT_TOO_LONG = refused('altTooLong', { most: MOST_ALT });

/** Puts a picture into each of some topics, beside those that are there. */
export function addPicture(map: TopicMap, ids: readonly string[], picture: NewPicture, legend: Legend): Outcome {
  const topics = map.topics.filter(({ id }) => ids.includes(id));
  if (topics.length === 0) return refused('nothingChosen');
  if (picture.alt.length > MOST_ALT) return ALT_TOO_LONG;
  const without = topics.filter(({ pictures = [] }) => pictures.every(({ src }) => src !== picture.src));
  if (without.length === 0) return refused('pictureThere');
  if (without.some(({ pictures = [] }) => pictures.length >= MOST_PICTURES))
    return refused('picturesFull', { most: MOST_PICTURES });
  return done(...without.map((topic) => withPictures(topic, [...(topic.pictures ?? []), picture], legend)));
}

/** Changes a picture of a topic: its words, its size, or (asked for) which picture it is. */
export function setPicture(
  map: TopicMap,
  id: string,
  src: string,
  fields: Partial<TopicPicture>,
  legend: Legend,
): Outcome {
  const topic = topicOf(map, id);
  if (!topic) return refused('topicGone');
  const pictures = topic.pictures ?? [];
  if (!pictures.some((one) => one.src === src)) return refused('pictureGone');
  if ((fields.alt?.length ?? 0) > MOST_ALT) return ALT_TOO_LONG;
  if (fields.src !== undefined && fields.src !== src && pictures.some((one) => one.src === fields.src))
    return refused('pictureThere');
  const sized = {
    ...fields,
    ...(fields.width !== undefined && { width: side(fields.width) }),
    ...(fields.height !== undefined && { height: side(fields.height) }),
  };
  return done(
    withPictures(
      topic,
      pictures.map((one) => (one.src === src ? { ...one, ...sized } : one)),
      legend,
    ),
  );
}

export function removePicture(map: TopicMap, id: string, src: string, legend: Legend): Outcome {
  const topic = topicOf(map, id);
  if (!topic) return refused('topicGone');
  const left = (topic.pictures ?? []).filter((one) => one.src !== src);
  if (left.length === topic.pictures?.length) return refused('pictureGone');
  return done(withPictures(topic, left, legend));
}

/** Lets topics that hold pictures be drawn without their words, or with them again. */
export function setWordless(map: TopicMap, ids: readonly string[], is: boolean, legend: Legend): Outcome {
  const topics = map.topics.filter(({ id, pictures = [] }) => ids.includes(id) && pictures.length > 0);
  if (topics.length === 0) return refused('noPictureIn');
  return done(
    ...topics.map((topic): Change => ({
      do: 'set',
      in: 'topics',
      id: topic.id,
      fields: refitted(topic, { wordless: is || undefined }, legend),
    })),
  );
}

/** What a loose picture is called as a topic when nobody said what it shows. */
const UNNAMED = 'Picture';

/** Makes loose pictures topics that are pictures alone, called by what they show: they can be linked and are checked. */
export function asTopics(
  map: TopicMap,
  ids: readonly string[],
  kind: string | null,
  maker: Maker,
  legend: Legend,
): Outcome {
  const pictures = map.pictures.filter(({ id }) => ids.includes(id));
  if (pictures.length === 0) return refused('pictureGone');
  if (map.topics.length + pictures.length > LIMITS.topics) return refused('topicsFull', { most: LIMITS.topics });
  return done(
    ...pictures.map(({ id }): Change => ({ do: 'remove', from: 'pictures', id })),
    ...pictures.map(({ x, y, src, alt, width, height }): Change => {
      const text = isBlank(alt) ? UNNAMED : alt.slice(0, LIMITS.text).toWellFormed().trim();
      const topic: Topic = {
        id: maker.newId(),
        text,
        kind,
        x,
        y,
        width,
        height,
        by: maker.by,
        wordless: true,
        pictures: [{ src, width, height, ...(alt !== '' && { alt }) }],
      };
      return { do: 'add', to: 'topics', item: { ...topic, ...fitTopic(topic, legend) } };
    }),
  );
}

function withPictures(topic: Topic, pictures: TopicPicture[], legend: Legend): Change {
  const [first] = pictures;
  // What is drawn without words is called by what it shows.
  const isRenamed = topic.wordless && first?.alt !== topic.pictures?.[0]?.alt && !isBlank(first?.alt);
  const fields = refitted(
    topic,
    {
      pictures: pictures.length > 0 ? pictures : undefined,
      ...(isRenamed && { text: first!.alt!.slice(0, LIMITS.text).toWellFormed().trim() }),
      ...(pictures.length === 0 && topic.wordless && { wordless: undefined }),
    },
    legend,
  );
  return { do: 'set', in: 'topics', id: topic.id, fields };
}

/** Lays a picture that belongs to no topic onto the map, in the nearest free place. */
export function addLoosePicture(map: TopicMap, { src, alt, ...size }: NewPicture, at: Spot, maker: Maker): Outcome {
  if (alt.length > MOST_ALT) return ALT_TOO_LONG;
  const box = { width: side(size.width ?? 160), height: side(size.height ?? 160) };
  return done({
    do: 'add',
    to: 'pictures',
    item: { id: maker.newId(), ...onMap(freeSpot(map, at, box)), ...box, src, alt },
  });
}

/** How broad a page of paper is laid under a map, and what lies between two; canvas units. */
const [PAGE, BETWEEN] = [1000, 40];
/** Below everything else. */
const UNDERNEATH = -50;

/**
 * Lays pages under the map, one below the other, faint and still, to be traced or handed in as they are.
 * @param pages of each what it is and the shape it has, pixels
 */
export function layPaper(
  map: TopicMap,
  pages: readonly { src: string; alt: string; width: number; height: number }[],
  at: Spot,
  maker: Maker,
): Outcome {
  if (pages.some(({ alt }) => alt.length > MOST_ALT)) return ALT_TOO_LONG;
  let top = at.y - PAGE / 3;
  return done(
    ...pages.map(({ src, alt, width, height }): Change => {
      const high = side((PAGE * height) / Math.max(1, width));
      const item = {
        id: maker.newId(),
        ...onMap({ x: at.x, y: top + high / 2 }),
        width: PAGE,
        height: high,
        src,
        alt,
        z: UNDERNEATH,
        opacity: 0.5,
        fixed: true,
      };
      top += high + BETWEEN;
      return { do: 'add', to: 'pictures', item };
    }),
  );
}

/** Changes a loose picture; a new size keeps its upper left corner where it is. */
export function setLoosePicture(
  map: TopicMap,
  id: string,
  fields: Partial<Pick<LoosePicture, 'src' | 'alt' | 'width' | 'height' | 'opacity' | 'fixed'>>,
): Outcome {
  const picture = map.pictures.find((one) => one.id === id);
  if (!picture) return refused('pictureGone');
  if ((fields.alt?.length ?? 0) > MOST_ALT) return ALT_TOO_LONG;
  const { left, top } = boxOf(picture);
  const [width, height] = [side(fields.width ?? picture.width), side(fields.height ?? picture.height)];
  return done({
    do: 'set',
    in: 'pictures',
    id,
    fields: { ...fields, width, height, ...onMap({ x: left + width / 2, y: top + height / 2 }) },
  });
}

/** Lays a file beside what a topic bears. */
export function addFile(map: TopicMap, id: string, file: { src: string; name: string }): Outcome {
  const topic = topicOf(map, id);
  if (!topic) return refused('topicGone');
  const files = topic.files ?? [];
  if (files.some(({ src }) => src === file.src)) return refused('fileThere');
  if (files.length >= MOST_FILES) return refused('filesFull', { most: MOST_FILES });
  const name = isBlank(file.name) ? undefined : file.name.trim().slice(0, LIMITS.text);
  return done({
    do: 'set',
    in: 'topics',
    id,
    fields: { files: [...files, { src: file.src, ...(name !== undefined && { name }) }] },
  });
}

export function removeFile(map: TopicMap, id: string, src: string): Outcome {
  const topic = topicOf(map, id);
  if (!topic) return refused('topicGone');
  const left = (topic.files ?? []).filter((file) => file.src !== src);
  return done({ do: 'set', in: 'topics', id, fields: { files: left.length > 0 ? left : undefined } });
}
