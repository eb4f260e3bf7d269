import type { GoTo } from '@ichnograph/contract';
import { useEffect, useMemo } from 'react';
import { api, ApiError } from '../common/api';
import { askAgain, isPassing } from '../common/queries';

/** Between two places that are told. */
const PAUSE_MS = 120;
/** Where there was no way, the place is told again after this. */
const AGAIN_MS = 1500;

/** Tells where one is, one place after the other: of those that come while one is on its way the last alone. */
class Presenter {
  private next: GoTo | null = null;
  private isGoing = false;
  private isOver = false;

  constructor(private readonly id: string) {}

  go(place: GoTo): void {
    // That the map is another is not forgotten with a place that was passed over.
    this.next = { ...place, changed: (place.changed ?? false) || (this.next?.changed ?? false) };
    if (!this.isGoing) void this.send();
  }

  /** The page is left: what waits is told, and not again where it could not be. */
  end(): void {
    this.isOver = true;
  }

  private async send(): Promise<void> {
    this.isGoing = true;
    while (this.next) {
      const place = this.next;
      this.next = null;
      let pause = PAUSE_MS;
      try {
        await api.put(`showings/${this.id}/place`, place);
      } catch (error) {
        if (isPassing(error)) {
          if (this.isOver) break;
          this.next ??= place;
          pause = AGAIN_MS;
        }
        // It is over: ended by somebody who teaches the class, or by its time.
        else if (error instanceof ApiError) void askAgain('showings');
        else throw error;
      }
      await new Promise((resolve) => setTimeout(resolve, pause));
    }
    this.isGoing = false;
  }
}

/** Of a showing that one presents: tells those who follow where one is. */
export function usePresenter(id: string | null): ((place: GoTo) => void) | null {
  const presenter = useMemo(() => (id === null ? null : new Presenter(id)), [id]);
  useEffect(() => () => presenter?.end(), [presenter]);
  return useMemo(() => (presenter ? (place: GoTo) => presenter.go(place) : null), [presenter]);
}
