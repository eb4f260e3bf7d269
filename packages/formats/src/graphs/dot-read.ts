import type { Arrow, LinkLooks, Shape, TopicLooks } from '@ichnograph/core';
import parse from 'dotparser';
import type { Attr, AttrStmt, EdgeStmt, Graph, HTMLString, NodeId, Stmt, Subgraph } from 'dotparser';
import { emptyDraft } from '../draft/draft.js';
import type { Draft, DraftLink, DraftTopic } from '../draft/draft.js';
import { named } from '../draft/words.js';
import { Unreadable } from '../format.js';
import type { Say } from '../format.js';
import { INCHES, POINTS } from './dot-units.js';
import { plainDot } from './dot-plain.js';
import { htmlOf, labelOf, recordOf } from './dot-words.js';
import type { Names } from './dot-words.js';
import { colourOf, dashOf, defined, fillOf, numberOf, within } from './looks.js';

/** A value as it stands: a string, or one that is written like HTML. */
type Value = string | { html: string };
type Attributes = Map<string, Value>;

/** Attributes that what is made from here on in a graph begins with. */
interface Standard {
  node: Attributes;
  edge: Attributes;
}

interface Cluster {
  id: string;
  own: Attributes;
  members: Set<string>;
}

/** Reads the first graph of a DOT file. */
export function draftOfDot(text: string, say: Say): Draft {
  if (text.trim() === '') throw new Unreadable('is empty');
  const [graph, ...others] = parsed(text);
  if (!graph) throw new Unreadable('holds no graph');
  for (const { id } of others) say(`graph ${named(String(id ?? ''))}`.trim(), 'left out: the first graph is read');
  return new Reader(graph).draft();
}

function parsed(text: string): Graph[] {
  try {
    return parse(plainDot(text));
  } catch (error) {
    if (error instanceof RangeError) throw new Unreadable('is nested too deep');
    const { location, message } = error as { location?: { start: { line: number; column: number } }; message: string };
    if (!location) throw error;
    const { line, column } = location.start;
    throw new Unreadable(`is no DOT at line ${line}, column ${column}: ${message.replace(/^Expected .* but /s, '')}`);
  }
}

class Reader {
  private readonly nodes = new Map<string, Attributes>();
  private readonly edges: { from: string; to: string; attributes: Attributes }[] = [];
  private readonly clusters: Cluster[] = [];
  private readonly own: Attributes = new Map();
  private readonly name: string;
  private readonly isDirected: boolean;

  constructor(private readonly graph: Graph) {
    this.name = String(graph.id ?? '');
    this.isDirected = graph.type.toLowerCase() === 'digraph';
  }

  draft(): Draft {
    this.statements(this.graph.children, { node: new Map(), edge: new Map() }, this.own, []);
    const draft = emptyDraft(true);
    draft.isDrawnAlike = isDrawnAlike;
    draft.title = this.words(this.own.get('label'), { G: this.name }) ?? '';
    draft.topics = [...this.nodes].map(([id, attributes]) => this.topic(id, attributes));
    const edges = this.graph.strict ? this.withoutAlike() : this.edges;
    draft.links = edges.map((edge) => this.link(edge));
    draft.regions = this.clusters.flatMap(({ id, own, members }) => {
      const title = this.words(own.get('label'), { G: id });
      if (title === undefined) return [];
      const fill = fillOf(plain(own.get('bgcolor')) ?? plain(own.get('fillcolor')));
      return [{ id: id.replace(/^cluster_?/, ''), title, topics: [...members], fill }];
    });
    return draft;
  }

  /** @param inside the subgraphs that what is named here belongs to */
  private statements(list: readonly Stmt[], standard: Standard, own: Attributes, inside: readonly Set<string>[]): void {
    for (const one of list)
      if (one.type === 'node_stmt') setAll(this.node(one.node_id, standard, inside), one.attr_list);
      else if (one.type === 'edge_stmt') this.edgesOf(one, standard, inside);
      else if (one.type === 'subgraph') this.subgraph(one, standard, inside);
      else this.standing(one, standard, own);
  }

  private standing({ target, attr_list: list }: AttrStmt, standard: Standard, own: Attributes): void {
    const of = target.toLowerCase();
    setAll(of === 'node' ? standard.node : of === 'edge' ? standard.edge : own, list);
  }

  /** What stands in a subgraph begins with what stands about it; nothing of it goes outward. */
  private subgraph({ id, children }: Subgraph, standard: Standard, inside: readonly Set<string>[]): Set<string> {
    const members = new Set<string>();
    const own: Attributes = new Map();
    if (typeof id === 'string' && id.startsWith('cluster')) this.clusters.push({ id, own, members });
    const inner = { node: new Map(standard.node), edge: new Map(standard.edge) };
    this.statements(children, inner, own, [...inside, members]);
    return members;
  }

  private node({ id }: NodeId, standard: Standard, inside: readonly Set<string>[]): Attributes {
    const name = nameOf(id);
    for (const members of inside) members.add(name);
    let attributes = this.nodes.get(name);
    if (!attributes) this.nodes.set(name, (attributes = new Map(standard.node)));
    return attributes;
  }

  /** Each with the next; a subgraph is all that is in it. */
  private edgesOf(
    { edge_list: chain, attr_list: list }: EdgeStmt,
    standard: Standard,
    inside: readonly Set<string>[],
  ): void {
    const ends = chain.map((end) => {
      if (end.type === 'subgraph') return [...this.subgraph(end, standard, inside)];
      this.node(end, standard, inside);
      return [nameOf(end.id)];
    });
    const attributes = new Map(standard.edge);
    setAll(attributes, list);
    ends.slice(1).forEach((tos, i) => {
      for (const from of ends[i]!) for (const to of tos) this.edges.push({ from, to, attributes });
    });
  }

  /** Of edges between the same two a strict graph has one. */
  private withoutAlike(): Reader['edges'] {
    const seen = new Set<string>();
    return this.edges.filter(({ from, to }) => {
      const ends = this.isDirected || from < to ? [from, to] : [to, from];
      const key = JSON.stringify(ends);
      return !seen.has(key) && seen.add(key);
    });
  }

  private topic(id: string, attributes: Attributes): DraftTopic {
    const get = (name: string): string | undefined => plain(attributes.get(name));
    const isRecord = /^m?record$/i.test(get('shape') ?? '');
    const label = attributes.get('label');
    const names = { N: id, G: this.name };
    const text = isRecord && typeof label === 'string' ? recordOf(label, names) : (this.words(label, names) ?? id);
    const kind = this.words(attributes.get('kind'), names);
    const at = /^\s*([-+.\deE]+)\s*,\s*([-+.\deE]+)\s*(?:!\s*)?$/.exec(get('pos') ?? '');
    const [x, y] = [numberOf(at?.[1]), numberOf(at?.[2])];
    const [width, height] = [numberOf(get('width')), numberOf(get('height'))];
    return {
      key: id,
      id,
      text,
      kind: kind === undefined ? undefined : { name: kind },
      place: x === undefined || y === undefined ? undefined : { x: tidied(x / POINTS), y: tidied(-y / POINTS) },
      size:
        width === undefined || height === undefined
          ? undefined
          : { width: tidied(width / INCHES), height: tidied(height / INCHES) },
      looks: looksOf(get),
    };
  }

  private link({ from, to, attributes }: Reader['edges'][number]): DraftLink {
    const get = (name: string): string | undefined => plain(attributes.get(name));
    const dir = get('dir')?.trim().toLowerCase();
    const [start, end] = dir === 'back' ? [to, from] : [from, to];
    const sign = this.isDirected ? '->' : '--';
    const names = { E: `${from}${sign}${to}`, T: from, H: to, G: this.name };
    const kind = this.words(attributes.get('kind'), names);
    const width = numberOf(get('penwidth'));
    const looks: LinkLooks = defined({
      colour: colourOf(get('color')?.split(/[:;]/)[0]),
      dash: (get('style') ?? '').split(',').map(dashOf).find(Boolean),
      width: width === undefined ? undefined : within(tidied(width / POINTS), 0.1, 100),
    });
    return {
      from: start,
      to: end,
      phrase: this.words(attributes.get('label'), names) ?? '',
      kind: kind === undefined ? undefined : { name: kind },
      arrow: arrowOf(dir, this.isDirected),
      looks,
    };
  }

  private words(value: Value | undefined, names: Names): string | undefined {
    if (value === undefined) return undefined;
    if (typeof value === 'string') return labelOf(value, names);
    return htmlOf(value.html) ?? withoutTags(value.html);
  }
}

/** What stands outside of signs of lesser and greater, where they are not well formed. */
const withoutTags = (html: string): string =>
  html
    .split('<')
    .map((part, i) => (i === 0 ? part : part.slice(part.indexOf('>') + 1)))
    .join('');

const arrowOf = (dir: string | undefined, isDirected: boolean): Arrow => {
  if (dir === 'both' || dir === 'none') return dir;
  return isDirected || dir === 'forward' || dir === 'back' ? 'forward' : 'none';
};

/** Rounded to what the file's digits can say. */
const tidied = (value: number): number => Math.round(value * 1000) / 1000;

const nameOf = (id: string | number): string => String(id).replace(/\\\\/g, '\\').replace(/\\"/g, '"');
const plain = (value: Value | undefined): string | undefined => (typeof value === 'string' ? value : undefined);

function setAll(attributes: Attributes, list: readonly Attr[]): void {
  // The parser's types are narrower than what it gives: numbers, and null for what stands alone, which is true.
  for (const { id, eq } of list as readonly { id: string | number; eq: string | number | null | HTMLString }[])
    attributes.set(String(id), typeof eq === 'object' && eq !== null ? { html: eq.value } : String(eq ?? 'true'));
}

/** Both are a box with round corners. */
const ROUND: readonly Shape[] = ['rounded', 'capsule'];
const isDrawnAlike = (one: Shape, other: Shape): boolean =>
  one === other || (ROUND.includes(one) && ROUND.includes(other));

const SHAPES: Readonly<Record<string, Shape>> = {
  box: 'rectangle',
  rect: 'rectangle',
  rectangle: 'rectangle',
  square: 'rectangle',
  record: 'rectangle',
  mrecord: 'rounded',
  ellipse: 'ellipse',
  oval: 'ellipse',
  circle: 'ellipse',
  doublecircle: 'ellipse',
  plaintext: 'plain',
  plain: 'plain',
  none: 'plain',
  note: 'note',
  hexagon: 'hexagon',
  diamond: 'diamond',
  parallelogram: 'parallelogram',
  octagon: 'octagon',
  doubleoctagon: 'octagon',
  trapezium: 'trapezoid',
  cds: 'signpost',
};

function looksOf(get: (name: string) => string | undefined): TopicLooks {
  const styles = (get('style') ?? '').toLowerCase().split(/[\s,]+/);
  const shape = SHAPES[(get('shape') ?? '').trim().toLowerCase()];
  const fill = fillOf(get('fillcolor')) ?? fillOf(get('color'));
  const isFilled = styles.includes('filled') || styles.includes('radial') || fill === 'none';
  const size = numberOf(get('fontsize'));
  return defined({
    shape: shape === 'rectangle' && styles.includes('rounded') ? 'rounded' : shape,
    fill: isFilled ? fill : undefined,
    outline: colourOf(get('color')),
    ink: colourOf(get('fontcolor')),
    fontSize: size === undefined ? undefined : within(tidied(size / POINTS), 4, 200),
  });
}
