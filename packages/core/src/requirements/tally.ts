import type { Link, Topic } from '../map/types.js';
import type { Finding } from './types.js';

/** How many single meetings of two things a person can be asked to read. */
const MANY = 200;

/**
 * Collects what is in each other's way. While the meetings are few, each has its own sentence; where they are many, each
 * thing is named once, with the number of others it meets: a tangle of thousands still has a report that can be read,
 * stored and sent.
 */
export class Tally {
  private readonly meetings: Finding[] = [];
  private readonly met = new Map<Topic | Link, number>();
  count = 0;

  /** @param things what is flagged by it; its sentence is only made where it will be read */
  add(things: readonly (Topic | Link)[], meeting: () => Finding): void {
    this.count++;
    if (this.count <= MANY) this.meetings.push(meeting());
    for (const thing of things) this.met.set(thing, (this.met.get(thing) ?? 0) + 1);
  }

  has = (thing: Topic | Link): boolean => this.met.has(thing);

  evidence(of: {
    topic?: (topic: Topic, count: number) => Finding;
    link?: (link: Link, count: number) => Finding;
  }): Finding[] {
    if (this.count <= MANY) return this.meetings;
    return [...this.met].flatMap(
      ([thing, count]) => ('from' in thing ? of.link?.(thing, count) : of.topic?.(thing, count)) ?? [],
    );
  }
}
