import type { Arrow, Legend, Link, LinkLooks, Region, Shape, Topic, TopicLooks, TopicMap } from '@ichnograph/core';

/** What a reader took from a file, before it is a map: topics and links as the file names them. */
export interface Draft {
  title: string;
  author: string;
  focusQuestion: string;
  topics: DraftTopic[];
  links: DraftLink[];
  regions: DraftRegion[];
  /** whether its texts may have several lines */
  hasLines: boolean;
  /** where the format knows fewer shapes than we: which of ours are one there */
  isDrawnAlike?: (one: Shape, other: Shape) => boolean;
  /** of our own files: the legend they were drawn with, and what else they hold */
  legend?: Legend | undefined;
  more?: Partial<TopicMap>;
}

export interface DraftTopic {
  /** by which links name it: each topic has its own */
  key: string;
  /** the id that it is to have, if that is one we allow */
  id?: string;
  text: string;
  kind?: KindNamed | undefined;
  place?: { x: number; y: number } | undefined;
  size?: { width: number; height: number } | undefined;
  looks?: TopicLooks | undefined;
  note?: string | undefined;
  source?: string | undefined;
  addresses?: string[];
  /** of our own files: all its fields, of which those above are told anew */
  own?: Topic | undefined;
}

export interface DraftLink {
  id?: string | undefined;
  from: string;
  to: string;
  phrase: string;
  kind?: KindNamed | undefined;
  arrow?: Arrow | undefined;
  looks?: LinkLooks | undefined;
  own?: Link | undefined;
}

/** A kind by its name in the file; of our own files by its id too. */
export interface KindNamed {
  name: string;
  id?: string | undefined;
}

export interface DraftRegion extends Omit<Region, 'id' | 'fill' | 'order'> {
  id?: string | undefined;
  fill?: string | undefined;
}

export const emptyDraft = (hasLines: boolean): Draft => ({
  title: '',
  author: '',
  focusQuestion: '',
  topics: [],
  links: [],
  regions: [],
  hasLines,
});
