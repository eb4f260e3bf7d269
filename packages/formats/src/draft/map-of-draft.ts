import { emptyMap, FAR, fitTopic, LIMITS, linkStyle, LONGEST, mend, TITLE_ROOM, topicStyle } from '@ichnograph/core';
import type { Legend, Link, Region, Shape, Topic, TopicMap } from '@ichnograph/core';
import { Unreadable } from '../format.js';
import type { Reading, Said, Say, Understood } from '../format.js';
import type { Draft, DraftLink, DraftTopic } from './draft.js';
import { Ids } from './ids.js';
import { Kinds } from './kinds.js';
import { placed } from './placed.js';
import { cutTo, named, onLines, onOneLine } from './words.js';

const REGION_FILL = '#f4f5f1';

/** The map that a draft means: within the limits, each topic with an id, a kind, a size and a place, links between two topics of it. */
export function mapOfDraft(draft: Draft, { legend }: Reading, already: readonly Said[] = []): Understood {
  const said: Said[] = [...already];
  const say: Say = (about, reason) => void said.push({ about, reason });
  if (draft.topics.length > LIMITS.topics)
    throw new Unreadable(`holds ${draft.topics.length} topics; a map may have ${LIMITS.topics}`);
  if (draft.links.length > LIMITS.links)
    throw new Unreadable(`holds ${draft.links.length} links; a map may have ${LIMITS.links}`);
  const made = new Maker(draft, legend, say).map();
  const { map, dropped } = mend(made);
  for (const { what, id, because } of dropped) say(`${what} ${named(id)}`, because);
  const isPlaced = draft.topics.every(({ place }) => place && isOnMap(place.x) && isOnMap(place.y));
  return { map: isPlaced ? map : placed(map), said };
}

const isOnMap = (along: number): boolean => Number.isFinite(along) && Math.abs(along) <= FAR;

class Maker {
  private readonly kinds: Kinds;
  private readonly ids: Ids;
  private readonly words: (text: string) => string;
  /** what is left of the room for notes, characters */
  private noteRoom = LIMITS.allNotes;

  constructor(
    private readonly draft: Draft,
    private readonly given: Legend | undefined,
    private readonly say: Say,
  ) {
    this.kinds = new Kinds(given, draft.legend, say, (one, other) => this.isAlike(one, other));
    this.words = draft.hasLines ? onLines : onOneLine;
    const { pictures = [], regions = [], groups = [], tours = [] } = draft.more ?? {};
    const all = [draft.topics, draft.links, draft.regions, pictures, regions, groups, tours].flat();
    this.ids = new Ids(new Set(all.flatMap(({ id }) => (id === undefined ? [] : [id]))));
  }

  map(): TopicMap {
    const { draft } = this;
    const idOf = new Map<string, string>();
    for (const topic of draft.topics) idOf.set(topic.key, this.ids.take(topic.id, 't'));
    const kindOf = new Map(draft.topics.map((topic) => [topic, this.kinds.ofTopic(topic)]));
    const linkKindOf = new Map(draft.links.map((link) => [link, this.kinds.ofLink(link)]));
    const { legend } = this.kinds;
    const topics = draft.topics.map((topic) => this.topic(topic, idOf.get(topic.key)!, kindOf.get(topic)!, legend));
    const links = draft.links.flatMap((link) => this.link(link, idOf, linkKindOf.get(link)!, legend));
    const regions = draft.regions.map(({ id, topics: keys, title, fill }): Region => ({
      id: this.ids.take(id, 'r'),
      topics: [...new Set(keys.flatMap((key) => idOf.get(key) ?? []))],
      title: this.cut(onOneLine(title), LIMITS.text),
      fill: fill ?? REGION_FILL,
    }));
    return {
      ...emptyMap(),
      ...draft.more,
      ...this.titles(),
      topics,
      links,
      regions: [...(draft.more?.regions ?? []), ...regions],
      ...(legend && { legend }),
    };
  }

  private titles(): Pick<TopicMap, keyof typeof TITLE_ROOM> {
    const { draft } = this;
    const one = (name: keyof typeof TITLE_ROOM): string =>
      draft.more?.[name] === draft[name] ? draft[name] : this.cut(onOneLine(draft[name]), TITLE_ROOM[name]);
    return { title: one('title'), author: one('author'), focusQuestion: one('focusQuestion') };
  }

  private topic(from: DraftTopic, id: string, kind: string | null, legend: Legend | undefined): Topic {
    const { own, place, size, note, source, addresses = [] } = from;
    const text = own?.text === from.text ? from.text : this.cut(this.words(from.text), LIMITS.text);
    const bare: Topic = { x: 0, y: 0, width: 1, height: 1, ...own, ...place, id, text, kind };
    const style = topicStyle(bare, legend);
    const { shape, ...others } = from.looks ?? {};
    const isShaped = shape && !this.isAlike(shape, style.shape);
    const looks = { ...differing(others, style), ...(isShaped && { shape }) };
    const weblinks = own?.weblinks ? [] : this.weblinks(addresses);
    const topic: Topic = {
      ...bare,
      ...looks,
      ...this.noted(note, named(from.text)),
      ...(source !== undefined && onLines(source) !== '' && { source: this.cut(onLines(source), LIMITS.note) }),
      ...(weblinks.length > 0 && { weblinks }),
    };
    return { ...topic, ...(size && isLength(size.width) && isLength(size.height) ? size : fitTopic(topic, legend)) };
  }

  private isAlike(one: Shape, other: Shape): boolean {
    return this.draft.isDrawnAlike?.(one, other) ?? one === other;
  }

  private noted(note: string | undefined, about: string): { note?: string } {
    if (note === undefined || note.trim() === '') return {};
    const cut = this.cut(note, LIMITS.note);
    if (cut.length > this.noteRoom) {
      this.say(about, 'its note was left out: all notes together are longer than a map has room for');
      return {};
    }
    this.noteRoom -= cut.length;
    return { note: cut };
  }

  private weblinks(addresses: readonly string[]): { url: string }[] {
    return addresses.flatMap((address) => {
      const url = address.trim();
      if (url === '') return [];
      if (/^https?:\/\//i.test(url) && URL.canParse(url) && url.length <= 2000) return [{ url }];
      this.say(named(url), 'left out: no address of the web');
      return [];
    });
  }

  private link(
    from: DraftLink,
    idOf: ReadonlyMap<string, string>,
    kind: string | null,
    legend: Legend | undefined,
  ): Link[] {
    const [start, end] = [idOf.get(from.from), idOf.get(from.to)];
    const gone = start === undefined ? from.from : end === undefined ? from.to : null;
    if (gone !== null) {
      this.say(`a link ${start === undefined ? 'from' : 'to'} ${named(gone)}, which is not in the file`, 'left out');
      return [];
    }
    if (start === end) {
      this.say(`a link from ${this.nameOf(from.from)} to itself`, 'left out');
      return [];
    }
    const phrase = from.own?.phrase === from.phrase ? from.phrase : this.cut(this.words(from.phrase), LIMITS.text);
    const bare: Link = { ...from.own, id: this.ids.take(from.id, 'l'), from: start!, to: end!, phrase, kind };
    const looks = { ...from.looks, ...(from.arrow && { arrow: from.arrow }) };
    return [{ ...bare, ...differing(looks, linkStyle(bare, legend)) }];
  }

  /** What people know a topic by. */
  private nameOf(key: string): string {
    return named(this.draft.topics.find((topic) => topic.key === key)!.text || key);
  }

  private cut(text: string, room: number): string {
    if (text.length <= room) return text;
    this.say(named(text), `longer than ${room} characters, and was cut`);
    return cutTo(text, room);
  }
}

const isLength = (length: number): boolean => Number.isFinite(length) && length > 0 && length <= LONGEST;

/** Looks that are not what its kind or nothing at all would give. */
function differing<L extends object>(looks: L, style: Readonly<Record<keyof L, unknown>>): Partial<L> {
  const own = Object.entries(looks).filter(([name, value]) => value !== undefined && value !== style[name as keyof L]);
  return Object.fromEntries(own) as Partial<L>;
}
