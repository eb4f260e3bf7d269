import type { Person } from './accounts.js';
import type { GatheringNews } from './gatherings.js';
import type { Here } from './here.js';
import type { ShowingNews } from './showings.js';

/** How much of what somebody does is passed on. */
export const HERE_LIMITS = { characters: 4096, holds: 40, perSecond: 30, atOnce: 60 } as const;

/** Who has a map open, as the server says: the person is stamped, the rest is what their page said. */
export interface OneHere extends Pick<Here, 'at' | 'holds' | 'types' | 'view'> {
  /** of this opening of the map: one person may have several */
  key: string;
  person: Person;
  reads: boolean;
}

/** What the server says beside the document on a live connection (Hocuspocus stateless messages, JSON). */
export type LiveMessage =
  /** a committed transaction holds each client's changes up to this count; said again every few seconds */
  | { type: 'stored'; counters: Record<string, number> }
  /** storing fails for now; the server keeps trying */
  | { type: 'not stored' }
  /** the work's state is another now (being marked, returned): ask for it again */
  | { type: 'work changed' }
  /** who else came, moved or went; `all`: there is nobody but these */
  | { type: 'here'; people: OneHere[]; gone: string[]; all?: true }
  /** what is new in a gathering */
  | GatheringNews
  /** where a presenter went */
  | ShowingNews;

export const LIVE_PATH = '/api/live';
export const workDocument = (workId: string): string => `work:${workId}`;

/** Why a document is not opened, or not open any more. */
export const LIVE_REFUSED = ['signed out', 'not yours', 'try again'] as const;
export type LiveRefused = (typeof LIVE_REFUSED)[number];

/** With what the server closes a live connection (codes of RFC 6455's range for applications). */
export const LIVE_CLOSED = {
  signedOut: { code: 4401, reason: 'signed out' },
  /** the document has grown as large as it may */
  full: { code: 4413, reason: 'the map is full' },
  /** something was sent that no page of ours sends */
  misfit: { code: 4422, reason: 'does not fit' },
  /** what a page says of the person before it is malformed, too large, or comes too often */
  notHere: { code: 4429, reason: 'who is here' },
  /** too much waits for the database; what the client holds is sent again later */
  tryAgain: { code: 4503, reason: 'try again' },
} as const;
