import type { Legend, TopicMap } from '@ichnograph/core';

export const FORMAT_NAMES = ['json', 'graphml', 'dot', 'xtm', 'opml', 'md', 'txt', 'csv', 'xlsx'] as const;
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

export interface Writing {
  legend: Legend | undefined;
  /** the moment that the file bears */
  at: Date;
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

/** A format of files: what it is called, what it carries, how it is read and written. */
export interface Format {
  name: FormatName;
  /** as people know it */
  label: string;
  /** endings of files' names; the first is the one that is written */
  endings: readonly [string, ...string[]];
  mediaType: string;
  carries: Carries;
  keeps: Keeps;
  /** @throws Unreadable */
  read?: (content: Uint8Array, reading: Reading) => Understood | Promise<Understood>;
  /** @throws Unreadable */
  write?: (map: TopicMap, writing: Writing) => Written | Promise<Written>;
}
