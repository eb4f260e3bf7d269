import { normalForm } from '@ichnograph/core';
import type { Legend, LinkKind, Shape, TopicKind } from '@ichnograph/core';
import type { Say } from '../format.js';
import type { DraftLink, DraftTopic, KindNamed } from './draft.js';
import { cutTo, named, onOneLine } from './words.js';

const MOST_KINDS = 60;
const NAME_ROOM = 100;
const DEFAULT = { purpose: '', givenBy: 'student', shape: 'rounded', fill: '#ffffff' } as const;

/**
 * The kinds that the topics and links of a file have: those of a given legend whose name is the same in normal form; else
 * those of the file's own legend, and for every other name one that is made.
 */
export class Kinds {
  private readonly topicKinds: TopicKind[];
  private readonly linkKinds: LinkKind[];
  private readonly refused = new Set<string>();
  private isUsed = false;

  constructor(
    private readonly given: Legend | undefined,
    private readonly own: Legend | undefined,
    private readonly say: Say,
    private readonly isAlike: (one: Shape, other: Shape) => boolean,
  ) {
    this.topicKinds = [...((given ?? own)?.topicKinds ?? [])];
    this.linkKinds = [...((given ?? own)?.linkKinds ?? [])];
  }

  /** The legend that the map is to have: undefined where no kind was told. */
  get legend(): Legend | undefined {
    const from = this.given ?? this.own;
    if (!from && !this.isUsed) return undefined;
    return { ...from, topicKinds: this.topicKinds, linkKinds: this.linkKinds };
  }

  ofTopic({ kind, looks }: DraftTopic): string | null {
    if (!kind) return this.byLooks(looks);
    return this.find(kind, this.topicKinds, (made) => ({
      ...DEFAULT,
      ...(looks?.shape && { shape: looks.shape }),
      ...(looks?.fill && { fill: looks.fill }),
      ...made,
    }));
  }

  ofLink({ kind }: DraftLink): string | null {
    return kind ? this.find(kind, this.linkKinds, (made) => made) : null;
  }

  /** A topic of another's drawing has the kind that alone looks as it does. */
  private byLooks(looks: DraftTopic['looks']): string | null {
    if (!this.given || !looks?.shape || !looks.fill) return null;
    const alike = this.topicKinds.filter(
      ({ shape, fill }) => this.isAlike(shape, looks.shape!) && fill.toLowerCase() === looks.fill!.toLowerCase(),
    );
    return alike.length === 1 ? alike[0]!.id : null;
  }

  private find<K extends { id: string; name: string }>(
    { name, id }: KindNamed,
    kinds: K[],
    make: (kind: { id: string; name: string }) => K,
  ): string | null {
    if (onOneLine(name) === '') return null;
    if (!this.given && id !== undefined) return id;
    const form = normalForm(name);
    const known = kinds.find((kind) => normalForm(kind.name) === form);
    if (known) return known.id;
    if (this.given) return this.refuse(name, 'a kind that the assignment does not have, left out');
    if (kinds.length >= MOST_KINDS)
      return this.refuse(name, `a map tells ${MOST_KINDS} kinds apart, so this one was left out`);
    const made = make({ id: freeId(name, kinds), name: cutTo(onOneLine(name), NAME_ROOM) });
    kinds.push(made);
    this.isUsed = true;
    return made.id;
  }

  /** Said once for each name. */
  private refuse(name: string, reason: string): null {
    if (!this.refused.has(name)) this.say(named(name), reason);
    this.refused.add(name);
    return null;
  }
}

/** An id made of a name, that none of the others has. */
function freeId(name: string, others: readonly { id: string }[]): string {
  const base = normalForm(name).replace(/\s+/g, '-').slice(0, 60) || 'kind';
  for (let i = 1; ; i++) {
    const id = i === 1 ? base : `${base}-${i}`;
    if (!others.some((one) => one.id === id)) return id;
  }
}
