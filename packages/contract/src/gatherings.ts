import type { Person } from './accounts.js';
import type { IdeaGroup } from './gathering-acts.js';

/** How much there can be of it. */
export const GATHERING_LIMITS = { question: 300, idea: 120, ofOne: 40, ideas: 2000, groups: 12, name: 60 } as const;

export const gatheringRoom = (id: string): string => `gathering:${id}`;

export const ARRANGEMENTS = ['take', 'leave', 'hide', 'show', 'merge', 'part', 'sort', 'name'] as const;
export type Arrangement = (typeof ARRANGEMENTS)[number];

export const MADE_OF_IDEAS = ['bank', 'terms', 'starter', 'map'] as const;
export type MadeOfIdeas = (typeof MADE_OF_IDEAS)[number];

export interface MadeRow {
  /** the assignment's or own map's */
  id: string;
  as: MadeOfIdeas;
  /** how many ideas went into it */
  ideas: number;
}

/** What was sent, alike ones fallen together. */
export interface Idea {
  id: string;
  text: string;
  /** persons who sent it, in the first round and in the second; who did in both is counted in each */
  persons: [number, number];
  /** persons who sent it, each once */
  people: number;
  /** in which words it was sent, each once */
  words: string[];
  group: string | null;
  taken: boolean;
  hidden: boolean;
  /** who sent it; empty for those who are not to know */
  by: Person[];
}

export interface SentIdea {
  id: string;
  text: string;
  round: 1 | 2;
  at: string;
}

/** All of a gathering that is not its ideas. */
export interface GatheringHead {
  question: string;
  code: string;
  open: boolean;
  anonymous: boolean;
  round: 1 | 2;
  groups: IdeaGroup[];
}

export interface GatheringDetail extends GatheringHead {
  id: string;
  classId: string;
  className: string;
  by: Person;
  leads: boolean;
  /** how many students the class has, and how many of them sent something */
  students: number;
  senders: number;
  language: string;
  ideas: Idea[];
  /** what who asks sent */
  mine: SentIdea[];
  /** counts what was told; what comes next is one more */
  told: number;
}

export interface GatheringRow {
  id: string;
  question: string;
  className: string;
  open: boolean;
  leads: boolean;
  ideas: number;
  at: string;
}

/** What is new in a gathering, to those who have it open. Who missed one asks for all. */
export interface GatheringNews {
  type: 'gathering';
  told: number;
  head: GatheringHead;
  senders: number;
  /** new and changed */
  ideas: Idea[];
  gone: string[];
}
