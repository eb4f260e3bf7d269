import { WordForms } from '../words/word-forms.js';
import type { Pulse } from '../pulse.js';
import type { Polyline } from '../geometry/points.js';
import { Drawings } from './drawings.js';
import { crossingsOf } from './crossings.js';
import type { Crossing, Line } from './crossings.js';
import { levelsFrom, strongParts } from './graph.js';
import { effectiveKind, isStructural } from '../map/kinds.js';
import { kindOfLink, linkArrow } from '../map/style.js';
import { Matcher } from '../map/terms.js';
import type { TermMatch } from '../map/terms.js';
import type { Arrow, Assignment, Link, Topic, TopicKind, TopicMap } from '../map/types.js';

/** What several requirements ask of one map, worked out once. It lives as long as one check. */
export class MapIndex {
  readonly topicById: ReadonlyMap<string, Topic>;
  private kinds = new Map<string, TopicKind | undefined>();
  private readonly pairs = new Map<Link, readonly [Topic, Topic]>();

  constructor(
    readonly map: TopicMap,
    readonly assignment: Assignment,
    /** called by what takes long, so that a check can be ended */
    readonly pulse: Pulse = () => undefined,
    readonly words: WordForms = new WordForms(assignment.language),
    readonly drawings: Drawings = new Drawings(assignment.legend, false),
  ) {
    this.topicById = new Map(map.topics.map((topic) => [topic.id, topic]));
  }

  /**
   * Takes over what does not depend on places from the index of the same map drawn otherwise: kinds, root, neighbours and
   * levels, all by id. What the other was never asked for is left to be worked out here: its time is over. Called before
   * anything is asked; nothing of the other index is held.
   */
  takeStructureOf(other: MapIndex): this {
    this.kinds = other.kinds;
    for (const name of ['root', 'neighbours', 'levels', 'branches', 'hungBy', 'homes'] as const) {
      if (!Object.hasOwn(other, name)) continue;
      const value = name === 'root' ? other.root && this.topicById.get(other.root.id)! : other[name];
      Object.defineProperty(this, name, { value });
    }
    return this;
  }

  kindOf(topic: Topic): TopicKind | undefined {
    const known = this.kinds.get(topic.id);
    if (known || this.kinds.has(topic.id)) return known;
    const kind = effectiveKind(topic, this.assignment);
    this.kinds.set(topic.id, kind);
    return kind;
  }

  isStructuralTopic(topic: Topic): boolean {
    return isStructural(this.kindOf(topic));
  }

  ends(link: Link): readonly [Topic, Topic] {
    const known = this.pairs.get(link);
    if (known) return known;
    const [a, b] = [this.topicById.get(link.from), this.topicById.get(link.to)];
    if (!a || !b) throw new Error(`a link ends at a topic that is not on the map: ${link.from}, ${link.to}`);
    const pair = [a, b] as const;
    this.pairs.set(link, pair);
    return pair;
  }

  @once get structuralTopics(): readonly Topic[] {
    return this.map.topics.filter((topic) => this.isStructuralTopic(topic));
  }

  @once get structuralLinks(): readonly Link[] {
    return this.map.links.filter(
      (link) =>
        isStructural(kindOfLink(this.assignment.legend, link.kind)) &&
        this.ends(link).every((topic) => this.isStructuralTopic(topic)),
    );
  }

  /** For each structural topic's id, the ids of the topics that structural links join it to. */
  @once get neighbours(): ReadonlyMap<string, ReadonlySet<string>> {
    const neighbours = new Map(this.structuralTopics.map(({ id }) => [id, new Set<string>()]));
    for (const { from, to } of this.structuralLinks) {
      neighbours.get(from)?.add(to);
      neighbours.get(to)?.add(from);
    }
    return neighbours;
  }

  @once private get matcher(): Matcher {
    return new Matcher(this.map.topics, this.words, this.pulse);
  }

  /** For each term of the assignment, in its order, the topic it is matched to, or null. */
  @once get termMatches(): readonly (TermMatch | null)[] {
    return this.matcher.terms(this.assignment.terms);
  }

  /** Other texts matched to topics all together, as terms are. */
  matchTexts(wanted: readonly { text: string; accept?: string[] }[]): (TermMatch | null)[] {
    return this.matcher.terms(wanted);
  }

  matchText(text: string): TermMatch | null {
    return this.matcher.text(text, this.assignment.terms);
  }

  /** The topic matched by the assignment's root, else the only structural topic of the kind that is the root's. */
  @once get root(): Topic | null {
    const { root } = this.assignment;
    if (root !== undefined) {
      const match = this.matchText(root);
      if (match && this.isStructuralTopic(match.topic)) return match.topic;
    }
    const roots = this.structuralTopics.filter((topic) => this.kindOf(topic)?.root);
    return roots.length === 1 ? roots[0]! : null;
  }

  /** The topics a requirement looks at: those of the kinds named, else all structural ones. */
  topicsOf(kinds: readonly string[] | undefined): readonly Topic[] {
    return kinds
      ? this.map.topics.filter((topic) => kinds.includes(this.kindOf(topic)?.id ?? ''))
      : this.structuralTopics;
  }

  /** Whether a link belongs to the structure: both ends do, and its kind. */
  isStructuralLink(link: Link): boolean {
    return this.structuralLinkIds.has(link.id);
  }

  @once private get structuralLinkIds(): ReadonlySet<string> {
    return new Set(this.structuralLinks.map(({ id }) => id));
  }

  /** For each topic's id, all links with an end there. */
  @once get linksAt(): ReadonlyMap<string, readonly Link[]> {
    const at = new Map<string, Link[]>(this.map.topics.map(({ id }) => [id, []]));
    for (const link of this.map.links) {
      at.get(link.from)!.push(link);
      if (link.to !== link.from) at.get(link.to)!.push(link);
    }
    return at;
  }

  arrowOf(link: Link): Arrow {
    return linkArrow(link, this.assignment.legend);
  }

  /** For each topic's id, the structural links out of it: forward ones from it, both-way and plain ones at either end. */
  @once get outLinks(): ReadonlyMap<string, readonly Link[]> {
    return this.directed('out');
  }

  /** Likewise, the structural links into it. */
  @once get inLinks(): ReadonlyMap<string, readonly Link[]> {
    return this.directed('in');
  }

  private directed(way: 'in' | 'out'): Map<string, Link[]> {
    const found = new Map<string, Link[]>(this.map.topics.map(({ id }) => [id, []]));
    for (const link of this.structuralLinks) {
      const forward = this.arrowOf(link) === 'forward';
      if (!forward || way === 'out') found.get(link.from)!.push(link);
      if (!forward || way === 'in') found.get(link.to)!.push(link);
    }
    return found;
  }

  /** The level of each topic that the root reaches over structural links, either way; the root's is 0. */
  @once get levels(): ReadonlyMap<string, number> {
    return this.root ? levelsFrom(this.root.id, (id) => this.neighbours.get(id) ?? []) : new Map();
  }

  @once get mainBranches(): readonly Topic[] {
    return this.map.topics.filter(({ id }) => this.levels.get(id) === 1);
  }

  children(id: string): readonly string[] {
    const level = this.levels.get(id);
    return level === undefined
      ? []
      : [...(this.neighbours.get(id) ?? [])].filter((next) => this.levels.get(next) === level + 1);
  }

  /** For each reached topic but the root, the main branches that lie on a shortest path from the root to it. */
  @once get branches(): ReadonlyMap<string, ReadonlySet<string>> {
    const branches = new Map<string, Set<string>>();
    for (const [id, level] of this.levels) {
      this.pulse();
      if (level === 0) continue;
      const above = [...this.neighbours.get(id)!].filter((next) => this.levels.get(next) === level - 1);
      branches.set(id, new Set(level === 1 ? [id] : above.flatMap((next) => [...branches.get(next)!])));
    }
    return branches;
  }

  /** For each topic below a main branch, the id of the link it hangs by: the first in file order that leads nearer to the root. */
  @once get hungBy(): ReadonlyMap<string, string> {
    const hungBy = new Map<string, string>();
    for (const { id, from, to } of this.structuralLinks) {
      const [a, b] = [this.levels.get(from), this.levels.get(to)];
      if (a === undefined || b === undefined || Math.abs(a - b) !== 1 || Math.min(a, b) === 0) continue;
      const below = a > b ? from : to;
      if (!hungBy.has(below)) hungBy.set(below, id);
    }
    return hungBy;
  }

  /** For each reached topic but the root, its home branch: the main branch that the links it hangs by lead up to. */
  @once get homes(): ReadonlyMap<string, string> {
    const linkById = new Map(this.structuralLinks.map((link) => [link.id, link]));
    const homes = new Map<string, string>();
    // Levels come nearest to the root first, so that what a topic hangs from has its home already.
    for (const [id, level] of this.levels) {
      if (level === 1) homes.set(id, id);
      if (level < 2) continue;
      const { from, to } = linkById.get(this.hungBy.get(id)!)!;
      homes.set(id, homes.get(from === id ? to : from)!);
    }
    return homes;
  }

  /** Structural links between reached topics, neither the root, of different home branches. */
  @once get crossLinks(): readonly Link[] {
    return this.structuralLinks.filter(({ from, to }) => {
      const [a, b] = [this.homes.get(from), this.homes.get(to)];
      return a !== undefined && b !== undefined && a !== b;
    });
  }

  /** Strongly connected parts of two or more topics, over the structural forward links. */
  @once get cycles(): readonly (readonly string[])[] {
    const next = new Map<string, string[]>();
    for (const link of this.structuralLinks) {
      if (this.arrowOf(link) !== 'forward') continue;
      const targets = next.get(link.from);
      if (targets) targets.push(link.to);
      else next.set(link.from, [link.to]);
    }
    return strongParts(
      this.structuralTopics.map(({ id }) => id),
      next,
    ).filter((part) => part.length > 1);
  }

  @once get lines(): readonly Line[] {
    return this.map.links.map((link) => {
      this.pulse();
      const part = this.drawnPart(link);
      return { link, part, key: part, box: part.box };
    });
  }

  @once get crossings(): readonly Crossing[] {
    return crossingsOf(this.lines, this.drawings.meetings, this.pulse);
  }

  /** The drawn part of a link: canvas units, possibly of no points. */
  drawnPart(link: Link): Polyline {
    return this.drawings.part(link, ...this.ends(link));
  }
}

/** Turns a getter into one that is worked out at the first reading. */
function once(_target: object, name: string, descriptor: PropertyDescriptor): PropertyDescriptor {
  return {
    ...descriptor,
    get(this: object): unknown {
      const value: unknown = descriptor.get?.call(this);
      Object.defineProperty(this, name, { value });
      return value;
    },
  };
}
