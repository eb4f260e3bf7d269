/** What the server says beside the document on a live connection (Hocuspocus stateless messages, JSON). */
export type LiveMessage =
  /** a committed transaction holds each client's changes up to this count; said again every few seconds */
  | { type: 'stored'; counters: Record<string, number> }
  /** storing fails for now; the server keeps trying */
  | { type: 'not stored' }
  /** the work's state is another now (being marked, returned): ask for it again */
  | { type: 'work changed' };

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
  /** too much waits for the database; what the client holds is sent again later */
  tryAgain: { code: 4503, reason: 'try again' },
} as const;
