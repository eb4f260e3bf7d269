import { Clock } from '@ichnograph/server';

const DAY = 24 * 3_600_000;

/** A clock that can be set to a moment before today, so that what the demo does is dated as if people had done it. */
export class DemoClock extends Clock {
  private set: Date | null = null;

  override now(): Date {
    return this.set ?? new Date();
  }

  /** @param days relative to the day of loading; negative ones are past. @param time local to UTC, "14:32" */
  at(days: number, time: string): Date {
    const day = new Date(Date.now() + days * DAY).toISOString().slice(0, 10);
    return (this.set = new Date(`${day}T${time}:00Z`));
  }
}
