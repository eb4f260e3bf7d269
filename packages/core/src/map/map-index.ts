import { foldedForm } from '../words/folded-form.js';
import { normalForm } from '../words/normal-form.js';
import { drawnPart } from '../geometry/drawn-part.js';
import type { Point } from '../geometry/points.js';
import { effectiveKind, isStructural } from './kinds.js';
import { kindOfLink } from './style.js';
import { matchText } from './terms.js';
import type { Assignment, Link, Topic, TopicKind, TopicMap } from './types.js';

/** What several requirements ask of one map, worked out once. It lives as long as one check. */
export class MapIndex {
  readonly topicById: ReadonlyMap<string, Topic>;
  private readonly kinds = new Map<string, TopicKind | undefined>();
  private readonly drawn = new Map<string, Point[]>();

  constructor(
    readonly map: TopicMap,
    readonly assignment: Assignment,
  ) {
    this.topicById = new Map(map.topics.map((topic) => [topic.id, topic]));
  }

  kindOf(topic: Topic): TopicKind | undefined {
    if (!this.kinds.has(topic.id)) this.kinds.set(topic.id, effectiveKind(topic, this.assignment));
    return this.kinds.get(topic.id);
  }

  isStructuralTopic(topic: Topic): boolean {
    return isStructural(this.kindOf(topic));
  }

  ends({ from, to }: Link): [Topic, Topic] {
    const [a, b] = [this.topicById.get(from), this.topicById.get(to)];
    if (!a || !b) throw new Error(`a link ends at a topic that is not on the map: ${from}, ${to}`);
    return [a, b];
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

  /** The topic matched by the assignment's root, else the only structural topic of the kind that is the root's. */
  @once get root(): Topic | null {
    const { root, terms, language } = this.assignment;
    if (root !== undefined) {
      const match = matchText(root, terms, this.map.topics, language);
      if (match && this.isStructuralTopic(match.topic)) return match.topic;
    }
    const roots = this.structuralTopics.filter((topic) => this.kindOf(topic)?.root);
    return roots.length === 1 ? roots[0]! : null;
  }

  /** The drawn part of a link: a polyline in canvas units, possibly empty. */
  drawnPart(link: Link): Point[] {
    let part = this.drawn.get(link.id);
    if (!part) this.drawn.set(link.id, (part = drawnPart(link, ...this.ends(link), this.assignment.legend)));
    return part;
  }

  normal = memo((text: string) => normalForm(text));
  folded = memo((text: string) => foldedForm(text, this.assignment.language));
}

function memo<T>(compute: (text: string) => T): (text: string) => T {
  const known = new Map<string, T>();
  return (text) => {
    if (!known.has(text)) known.set(text, compute(text));
    return known.get(text)!;
  };
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
