import type { Person } from './accounts.js';
import type { HereView } from './here.js';

export const showingRoom = (id: string): string => `showing:${id}`;

/** Where a presenter is: at a stop of the tour, or looking at a part of the map. */
export interface ShowingPlace {
  /** the topic of the stop; null: the whole map */
  topic: string | null;
  /** what is said there, where the presenter shows words; else empty */
  words: string;
  /** whether the tour's line is drawn */
  line: boolean;
  /** the part of the map that the presenter sees, where no tour is shown */
  view: Pick<HereView, 'x' | 'y' | 'width' | 'height'> | null;
}

/** Where the presenter went; `count` grows with each. */
export interface ShowingNews {
  type: 'showing';
  place: ShowingPlace;
  count: number;
}

export interface ShowingRow {
  id: string;
  title: string;
  by: Person;
  className: string;
  /** whether who asks presents it */
  mine: boolean;
  /** what is shown, for who presents it */
  of: { ownMapId: string } | { workId: string } | null;
  tourId: string | null;
}

export interface ShowingDetail extends ShowingRow {
  classId: string;
  /** whether who asks may end it */
  mayEnd: boolean;
  language: string;
  legend: Record<string, unknown>;
  /** the map as a class sees it: without notes, without what is said at stops */
  map: Record<string, unknown>;
  place: ShowingPlace | null;
  count: number;
}
