/** What the server says beside the document on a live connection (Hocuspocus stateless messages, JSON). */
export type LiveMessage =
  /** a committed transaction holds each client's changes up to this count */
  | { type: 'stored'; counters: Record<string, number> }
  /** storing fails for now; the server keeps trying */
  | { type: 'not stored' }
  /** the work's state is another now (being marked, returned): ask for it again */
  | { type: 'work changed' };

export const LIVE_PATH = '/api/live';
export const workDocument = (workId: string): string => `work:${workId}`;
