import type { Box, Point } from '../geometry/points.js';
import type { TextLine } from '../geometry/text.js';
import type { Collection, Dash, Legend, Topic } from '../map/types.js';
import type { Fields } from '../map/fields.js';

export interface Stroke {
  /** `#rrggbb` or `none` */
  colour: string;
  width: number;
  dash: Dash;
}

/** What screens, pictures and prints draw: nothing of it is measured or broken again. Units around a drawing's `at`. */
export type DrawnShape =
  | {
      draw: 'path';
      part: 'outline' | 'fold' | 'line' | 'head' | 'region' | 'frame' | 'sign';
      /** SVG path data */
      d: string;
      /** `#rrggbb` or `none` */
      fill: string;
      opacity?: number;
      stroke?: Stroke;
    }
  /** what words stand on, so that a line does not run through them; its colour is that of what is drawn on */
  | { draw: 'ground'; box: Box }
  /** a picture, as large as its box has room for without being cut or stretched */
  | {
      draw: 'image';
      src: string;
      alt: string;
      box: Box;
      opacity?: number;
      /** what is drawn where the picture cannot be had */
      instead: readonly DrawnShape[];
    }
  | {
      draw: 'words';
      /** each with the left end of its baseline */
      lines: readonly (TextLine & Point)[];
      ink: string;
      size: number;
      bold: boolean;
      italic: boolean;
    };

export interface Drawing {
  at: Point;
  /** what is lower is drawn first; at one z, in the order of the registry */
  z: number;
  shapes: readonly DrawnShape[];
}

/** What a mark is drawn among. */
export interface Scene {
  legend: Legend | undefined;
  topicById: ReadonlyMap<string, Topic>;
}

/** Where another topic stands for one, or none. */
export type IdOf = (id: string) => string | undefined;

/**
 * One sort of mark: all that any part of the product needs to know to read, mend, draw, find, copy and remove it. What a
 * live document holds in a list that has no drawing (the word bank) is one too.
 */
export interface MarkType<T extends { id: string } = { id: string }> {
  list: Collection;
  /** what one of them is called where something is said of it */
  name: 'topic' | 'link' | 'picture' | 'region' | 'group' | 'tour' | 'bank entry';
  fields: { needs: Fields; may: Fields };
  /** the fields it cannot do without, made good; a sort of mark without this is dropped where one of them is unfit */
  repaired?(mark: T): Partial<T>;
  /** why it cannot stay, though its fields are fit */
  unfit?(mark: T, isTopic: (id: string) => boolean): 'end is gone' | 'joins a topic to itself' | null;
  /** the topics it hangs on; with all of them it is copied too */
  topics(mark: T): readonly string[];
  /** the same on other topics, or none where it cannot stand on what is left */
  onTopics(mark: T, idOf: IdOf): T | null;
  /** whether copying and a starter take it along */
  isCopied: boolean;
  moved(mark: T, step: Point): T;
  /** around all that is drawn of it, in map coordinates; null where there is nothing to see */
  bounds(mark: T, scene: Scene): Box | null;
  draw(mark: T, scene: Scene): Drawing | null;
  /** whether a point of the map is on it */
  hits(mark: T, at: Point, scene: Scene): boolean;
}
