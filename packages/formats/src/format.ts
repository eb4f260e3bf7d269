import type { Legend, TopicMap } from '@ichnograph/core';

export const FORMAT_NAMES = [
  'json',
  'graphml',
  'dot',
  'xtm',
  'opml',
  'md',
  'txt',
  'csv',
  'xlsx',
  'svg',
  'png',
  'jpg',
  'pdf',
  'html',
  'docx',
] as const;
export type FormatName = (typeof FORMAT_NAMES)[number];

/** One thing of a file or a map that was understood otherwise than it stands, or left out: what, and why, in a few words. */
export interface Said {
  about: string;
  reason: string;
}
export type Say = (about: string, reason: string) => void;

/** A file that cannot be read, or a map that cannot be written: a sentence's predicate, with the place where there is one. */
export class Unreadable extends Error {
  override name = 'Unreadable';
}

/** Which columns of a table hold what: by the name in its first row, or counted from 1. */
export type Columns = Partial<Record<ColumnName, string | number>>;
export const COLUMN_NAMES = ['from', 'phrase', 'to', 'from_kind', 'to_kind', 'link_kind'] as const;
export type ColumnName = (typeof COLUMN_NAMES)[number];

export interface Reading {
  /** the legend whose kinds are meant; undefined: whatever kinds the file names */
  legend?: Legend | undefined;
  columns?: Columns | undefined;
}

/** What a document may hold, in this order. */
export const DOCUMENT_PARTS = ['picture', 'outline', 'notes', 'sentences'] as const;
export type DocumentPart = (typeof DOCUMENT_PARTS)[number];

/** How a drawing or a document is wanted; each format takes some of these. */
export interface Wishes {
  /** the title block below the drawing */
  block?: boolean;
  /** pixels to a canvas unit */
  scale?: 1 | 2 | 4;
  /** no ground */
  clear?: boolean;
  paper?: 'a4' | 'letter' | 'a3';
  /** at full size over several sheets */
  tiles?: boolean;
  grey?: boolean;
  with?: readonly DocumentPart[];
}
export type Wish = keyof Wishes;

/** A picture's content by its `src`; null where it cannot be had, and then its words are drawn. */
export type PictureOf = (src: string) => Promise<Uint8Array | null>;

export interface Writing extends Wishes {
  legend: Legend | undefined;
  /** the moment that the file bears */
  at: Date;
  /** left out: the shipped library alone */
  pictureOf?: PictureOf;
}

export interface Understood {
  map: TopicMap;
  said: readonly Said[];
}
export interface Written {
  content: Uint8Array;
  said: readonly Said[];
}

/** What a map may have that not every format has room for, as it is said to people. */
export const SORTS = [
  'notes',
  'sources',
  'addresses',
  'files',
  'arrows',
  'kinds',
  'regions',
  'groups',
  'tours',
  'pictures',
  'word bank',
] as const;
export type Sort = (typeof SORTS)[number];

/** Of what keeps everything. */
export const ALL = Object.fromEntries(SORTS.map((sort) => [sort, 'all'])) as Keeps;

/** In what measure a format keeps a sort; a sort that is not named is dropped. */
export type Keeps = Partial<Record<Sort, 'all' | 'first' | 'of topics'>>;

/** What each part of a map becomes in a format, in words. */
export interface Carries {
  topics: string;
  links: string;
  titles: string;
  looks: string;
  bearing: string;
  more: string;
}

/** What a format of files is called and what it carries. */
export interface Facts {
  name: FormatName;
  /** as people know it */
  label: string;
  /** endings of files' names; the first is the one that is written */
  endings: readonly [string, ...string[]];
  mediaType: string;
  carries: Carries;
  keeps: Keeps;
  /** how it can be wanted otherwise */
  wishes?: readonly Wish[];
}

/** A format of files, and how it is read and written. */
export interface Format extends Facts {
  /** @throws Unreadable */
  read?: (content: Uint8Array, reading: Reading) => Understood | Promise<Understood>;
  /** of a table: what stands in its first row. @throws Unreadable */
  head?: (content: Uint8Array) => readonly string[] | Promise<readonly string[]>;
  /** @throws Unreadable */
  write?: (map: TopicMap, writing: Writing) => Written | Promise<Written>;
}
