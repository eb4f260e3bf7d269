import type { Chip, Report, TopicMap } from '@ichnograph/core';

export interface Spot {
  x: number;
  y: number;
}

/**
 * What is being typed: a new topic that is not on the map yet, a topic's text, or a link's phrase; `also` are links that get
 * the same words. What hangs on a trunk finds its place there when its words, and so its size, are known.
 */
export type Typing =
  | { what: 'new'; at: Spot; from: string | null; between?: string; onTrunk?: true }
  | { what: 'topic'; id: string; fresh?: boolean }
  | { what: 'phrase'; id: string; fresh?: boolean; also?: readonly string[] }
  | Listed;

/** What is typed where the map is read as a list: an end of a link, or a new row of the outline. */
export type Listed =
  | { what: 'end'; id: string; end: 'from' | 'to'; fresh?: boolean }
  | { what: 'row'; after: string | null; as: 'beside' | 'below' };

export type PictureTab = 'Library' | 'Yours' | 'Sketch';
/** A picture whose place another is to take: of a topic, or a loose one, whose `src` is null. */
export interface Replaced {
  of: string;
  src: string | null;
}

export type Asking = 'link' | 'hang' | 'from' | 'to';

export interface EditorState {
  map: TopicMap;
  selection: readonly string[];
  typing: Typing | null;
  words: string;
  /** what the words were begun with, as it is on the map now */
  wordsOf: string | null;
  /** the last time somebody else's letters came into `words`: where a place between one's own letters has come to */
  merged: { at: (place: number) => number } | null;
  next: {
    topicKind: string | null;
    linkKind: string | null;
    /** whether a kind of link that stands beside the structure stays the next one after it has served once */
    isPinned: boolean;
  };
  /** the chip in hand or under the eye: what would be made of it shows as the next mark */
  chip: Chip | null;
  /** null until the first check has come; what it would say is unknown, not "none" */
  report: Report | null;
  chips: readonly Chip[];
  tooLong: boolean;
  hovered: string | null;
  requirement: string | null;
  /** why something was not done */
  refusal: string | null;
  /** given topics about to be deleted, waiting for a yes */
  deleting: readonly string[] | null;
  /** for what a topic is asked: to link to, to hang from, or to take an end of a link to; a press on one answers */
  asking: Asking | null;
  /** ends a tidying that is under way */
  tidying: (() => void) | null;
  /** where topics stood before they were laid out anew, to show how they go */
  glide: ReadonlyMap<string, Spot> | null;
  /** whether what the selected topic bears is open */
  about: boolean;
  /** the region whose dialog is open, or a new one */
  region: string | null;
  /** the dialog of pictures, and the picture whose place the next one takes */
  pictures: { tab: PictureTab; replaces: Replaced | null } | null;
  /** the picture that is looked at large */
  large: string | null;
  /** a file of another program that was dropped or pasted, to be looked at */
  brought: File | null;
  /** how many files are being brought */
  bringing: number;
  /** the topic whose branch alone is shown */
  alone: string | null;
  /** whether it is shown who made what */
  makers: boolean;
  /** whether the line of its tour is drawn on the map */
  tourLine: boolean;
  /** whose words are hidden, to test oneself */
  blank: 'topics' | 'phrases' | null;
  /** whether the overview is shown; null: while little of the map is in sight */
  overview: boolean | null;
  /** whether little of it is in sight now */
  offered: boolean;
  /** words that are looked for on the map; null when nothing is */
  sought: string | null;
  /** whether the next key says how to arrange */
  leading: boolean;
  /** whether the moves that take crossings away are shown */
  moves: boolean;
  /** the line of *make room* that waits to be pulled: across which axis, and where */
  room: { along: 'x' | 'y'; at: number } | null;
  /** whether a drag takes along what hangs from what is in the hand */
  withBranch: boolean;
  /** whether a tap adds to what is chosen */
  gathering: boolean;
  canUndo: boolean;
  canRedo: boolean;
}
