/** The server's only source of the present. The demo puts its own in its place, to act in the past. */
export class Clock {
  now(): Date {
    return new Date();
  }
}
