/** For how long somebody counts as there after they said so, milliseconds. */
const KEPT_MS = 15_000;

interface Seen<Place> {
  place: Place;
  at: number;
}

/** Who is in a room just now, and where in it: said again every few seconds, forgotten soon, kept nowhere. */
export class WhoIsHere<Place = null> {
  private readonly rooms = new Map<string, Map<string, Seen<Place>>>();

  /** Notes where somebody is. @returns everybody who is in the same room, the earliest first, who asks among them */
  note(room: string, accountId: string, place: Place, now: number): { accountId: string; place: Place }[] {
    const here = this.rooms.get(room) ?? new Map<string, Seen<Place>>();
    here.set(accountId, { place, at: now });
    this.rooms.set(room, here);
    for (const [name, people] of this.rooms) {
      for (const [id, { at }] of people) if (now - at > KEPT_MS) people.delete(id);
      if (people.size === 0) this.rooms.delete(name);
    }
    return [...here].map(([id, seen]) => ({ accountId: id, place: seen.place }));
  }
}
