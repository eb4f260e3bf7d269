import { LEGEND, LINK, TOPIC } from '@ichnograph/core';
import type { Legend, Link, LinkLooks, Topic, TopicLooks, TopicMap } from '@ichnograph/core';
import { emptyDraft } from '../draft/draft.js';
import type { Draft, DraftLink, DraftTopic, KindNamed } from '../draft/draft.js';
import { named } from '../draft/words.js';
import { elementsIn, readXml, textIn } from '../files/xml.js';
import type { XmlElement } from '../files/xml.js';
import { Unreadable } from '../format.js';
import type { Say } from '../format.js';
import { plainLink, plainMap, plainTopic, WHOLE } from './graphml-plain.js';
import { arrowOf, colourOf, dashOf, defined, fillOf, numberOf, routeOf, shapeOf, within } from './looks.js';

/** What a file calls the words of a node or an edge, in the order in which they are looked for. */
const WORDS = ['label', 'text', 'name', 'title'];

interface Key {
  id: string;
  /** in lower case, so that it is found however it is written */
  name: string;
  said: string;
  isText: boolean;
  of: string;
  standard: string | undefined;
}

interface Node {
  element: XmlElement;
  id: string;
  data: ReadonlyMap<string, string>;
  /** the nodes in which it lies, the outermost first */
  within: readonly Node[];
  isGroup: boolean;
}
interface Edge {
  element: XmlElement;
  data: ReadonlyMap<string, string>;
  isDirected: boolean;
}

/** Reads GraphML: our own with all it holds, of others what is named as they name it. */
export function draftOfGraphml(content: Uint8Array, say: Say): Draft {
  const root = readXml(content);
  if (root.name !== 'graphml') throw new Unreadable(`is no GraphML: it begins with <${root.name}>`);
  return new Reader(root, say).draft();
}

class Reader {
  private readonly keys = new Map<string, Key>();
  private readonly nodes: Node[] = [];
  private readonly edges: Edge[] = [];
  private readonly ids = new Set<string>();
  private readonly unread = new Set<string>();

  constructor(
    private readonly root: XmlElement,
    private readonly say: Say,
  ) {}

  draft(): Draft {
    for (const element of elementsIn(this.root, 'key')) this.key(element);
    const [graph, ...others] = elementsIn(this.root, 'graph');
    if (!graph) throw new Unreadable('is GraphML without a graph');
    for (const { attributes } of others)
      this.say(`graph ${named(attributes.id ?? '')}`.trim(), 'left out: the first graph is read');
    this.graph(graph, [], undefined);
    const about = this.data(graph);
    const draft = emptyDraft(true);
    const whole = this.takeWhole(about, (value): value is TopicMap => isObject(value) && !Array.isArray(value));
    const legend = LEGEND.allows(whole?.legend) ? whole!.legend : undefined;
    this.titles(draft, about, whole);
    const known = ['kind', 'x', 'y', 'width', 'height', 'shape', 'fill', 'outline', 'ink', 'fontsize', 'note', WHOLE];
    const nodeWords = this.wordsOf(this.nodes, 'node', known);
    const ends = new Set(this.edges.flatMap(({ element: { attributes } }) => [attributes.source, attributes.target]));
    for (const node of this.nodes)
      if (!node.isGroup || ends.has(node.id)) draft.topics.push(this.topic(node, nodeWords, legend));
    draft.regions.push(...this.regions(nodeWords, new Set(draft.topics.map(({ key }) => key))));
    const edgeWords = this.wordsOf(this.edges, 'edge', [
      'kind',
      'colour',
      'linewidth',
      'dash',
      'route',
      'arrow',
      WHOLE,
    ]);
    for (const edge of this.edges) draft.links.push(this.link(edge, edgeWords, legend));
    if (whole) draft.legend = legend;
    this.sayUnread([
      ...WORDS,
      ...known,
      'colour',
      'linewidth',
      'dash',
      'route',
      'arrow',
      'title',
      'author',
      'focusquestion',
    ]);
    return draft;
  }

  private key({ attributes, ...element }: XmlElement): void {
    const { id, for: of = 'all' } = attributes;
    if (id === undefined) return;
    const name = attributes['attr.name'] ?? id;
    const standard = elementsIn({ attributes, ...element }, 'default')[0];
    this.keys.set(id, {
      id,
      name: name.toLowerCase(),
      said: name,
      isText: attributes['attr.type'] === 'string',
      of,
      standard: standard && textIn(standard),
    });
  }

  /** Nodes and edges in the file's order, those within nodes too. */
  private graph(graph: XmlElement, within: readonly Node[], above: boolean | undefined): void {
    const said = graph.attributes.edgedefault;
    const isDirected = said === undefined ? (above ?? true) : said !== 'undirected';
    for (const element of elementsIn(graph)) {
      if (element.name === 'node') this.node(element, within, isDirected);
      else if (element.name === 'edge') {
        const { directed } = element.attributes;
        this.edges.push({
          element,
          data: this.data(element),
          isDirected: directed === undefined ? isDirected : directed === 'true' || directed === '1',
        });
      } else if (element.name === 'hyperedge') this.leaveOut(element);
    }
  }

  private node(element: XmlElement, within: readonly Node[], isDirected: boolean): void {
    const id = element.attributes.id ?? '';
    const inner = elementsIn(element, 'graph');
    for (const port of elementsIn(element, 'port')) this.leaveOut(port);
    const node = { element, id, data: this.data(element), within, isGroup: inner.length > 0 };
    if (this.ids.has(id)) this.say(`a second node ${named(id)}`, 'left out');
    else {
      this.ids.add(id);
      this.nodes.push(node);
    }
    for (const graph of inner) this.graph(graph, [...within, node], isDirected);
  }

  private leaveOut({ name, attributes }: XmlElement): void {
    this.say(`${name} ${named(attributes.id ?? attributes.name ?? '')}`.trim(), 'left out: a map has none');
  }

  /** By the name of its key, what an element bears; a key that is not declared goes by its id. */
  private data(element: XmlElement): ReadonlyMap<string, string> {
    const found = new Map<string, string>();
    for (const one of elementsIn(element, 'data')) {
      const id = one.attributes.key ?? '';
      const name = this.keys.get(id)?.name ?? id.toLowerCase();
      this.unread.add(this.keys.get(id)?.said ?? id);
      if (!found.has(name)) found.set(name, textIn(one));
    }
    for (const { name, standard, of } of this.keys.values())
      if (standard !== undefined && (of === element.name || of === 'all') && !found.has(name))
        found.set(name, standard);
    return found;
  }

  /** Names under which words are looked for: the usual ones, then the text that most of them bear. */
  private wordsOf(
    all: readonly { data: ReadonlyMap<string, string> }[],
    of: string,
    known: readonly string[],
  ): string[] {
    const counts = [...this.keys.values()]
      .filter(({ isText, of: own, name }) => isText && (own === of || own === 'all') && !known.includes(name))
      .map(({ name }) => ({ name, count: all.filter(({ data }) => data.has(name)).length }));
    const most = Math.max(1, ...counts.map(({ count }) => count));
    const found = counts.find(({ count }) => count === most)?.name;
    return found === undefined || WORDS.includes(found) ? WORDS : [...WORDS, found];
  }

  private wordsIn(data: ReadonlyMap<string, string>, names: readonly string[]): string | undefined {
    const name = names.find((one) => data.get(one)?.trim());
    if (name === undefined) return undefined;
    this.read.add(name);
    return data.get(name);
  }
  private readonly read = new Set<string>();

  private titles(draft: Draft, about: ReadonlyMap<string, string>, whole: TopicMap | null): void {
    draft.title = about.get('title') ?? '';
    draft.author = about.get('author') ?? '';
    draft.focusQuestion = about.get('focusquestion') ?? '';
    if (!whole) return;
    const { topics: _topics, links: _links, legend: _legend, ...more } = whole;
    draft.more = moreOf(more);
    const plain = plainMap({ ...draft, ...more } as unknown as TopicMap);
    for (const name of ['title', 'author', 'focusQuestion'] as const)
      if (typeof more[name] === 'string' && plain[name] === draft[name]) draft[name] = more[name];
  }

  private topic({ id, data }: Node, words: readonly string[], legend: Legend | undefined): DraftTopic {
    const own = this.takeWhole(data, (value): value is Topic => TOPIC.allows(value));
    const plain = own && plainTopic(own, legend);
    /** what the file says otherwise than our own fields do */
    const edited = (name: string, standing: string): string | undefined => {
      const said = data.get(name);
      return plain && said === plain[standing] ? undefined : said;
    };
    const [x, y] = [data.get('x'), data.get('y')].map(numberOf);
    const [width, height] = [data.get('width'), data.get('height')].map(numberOf);
    const said = own ? data.get('label') : this.wordsIn(data, words);
    const looks: TopicLooks = defined({
      shape: shapeOf(edited('shape', 'shape')),
      fill: fillOf(edited('fill', 'fill')),
      outline: colourOf(edited('outline', 'outline')),
      ink: colourOf(edited('ink', 'ink')),
      fontSize: within(numberOf(edited('fontsize', 'fontSize')), 4, 200),
    });
    const { note: _note, ...rest } = own ?? ({} as Partial<Topic>);
    return {
      key: id,
      id,
      text: own && said === plain!.label ? own.text : (said ?? (own ? '' : id)),
      kind: kindOf(data.get('kind'), own, plain?.kind),
      place: x !== undefined && y !== undefined ? { x, y } : undefined,
      size: width !== undefined && height !== undefined ? { width, height } : undefined,
      looks,
      note: own && data.get('note') === plain!.note ? own.note : data.get('note'),
      ...(own && { own: rest as Topic }),
    };
  }

  private link({ element, data, isDirected }: Edge, words: readonly string[], legend: Legend | undefined): DraftLink {
    const { id, source = '', target = '' } = element.attributes;
    const own = this.takeWhole(data, (value): value is Link => LINK.allows(value));
    const plain = own && plainLink(own, legend);
    const edited = (name: string, standing: string): string | undefined => {
      const said = data.get(name);
      return plain && said === plain[standing] ? undefined : said;
    };
    const said = own ? data.get('label') : this.wordsIn(data, words);
    const looks: LinkLooks = defined({
      colour: colourOf(edited('colour', 'colour')),
      width: within(numberOf(edited('linewidth', 'lineWidth')), 0.1, 100),
      dash: dashOf(edited('dash', 'dash')),
      route: routeOf(edited('route', 'route')),
    });
    const told = arrowOf(edited('arrow', 'arrow'));
    const arrow = told ?? (data.has('arrow') ? undefined : isDirected ? 'forward' : 'none');
    return {
      id,
      from: source,
      to: target,
      phrase: own && said === plain!.label ? own.phrase : (said ?? ''),
      kind: kindOf(data.get('kind'), own, plain?.kind),
      arrow,
      looks,
      ...(own && { own }),
    };
  }

  /** A node that holds others and has a name is a region about all of them. */
  private regions(words: readonly string[], topics: ReadonlySet<string>): Draft['regions'] {
    return this.nodes.flatMap((group) => {
      const title = group.isGroup ? this.wordsIn(group.data, words) : undefined;
      if (title === undefined) return [];
      const inside = this.nodes.filter(({ id, within: above }) => above.includes(group) && topics.has(id));
      return [{ title, topics: inside.map(({ id }) => id), fill: fillOf(group.data.get('fill')) }];
    });
  }

  /** What our own reader needs to lose nothing; what is no such thing is as if it were not there. */
  private takeWhole<T>(data: ReadonlyMap<string, string>, isOurs: (value: unknown) => value is T): T | null {
    const json = data.get(WHOLE);
    if (json === undefined) return null;
    try {
      const value: unknown = JSON.parse(json);
      if (isOurs(value)) return value;
    } catch (error) {
      if (!(error instanceof SyntaxError)) throw error;
    }
    this.say(named(json), 'left out: it is not what we wrote there');
    return null;
  }

  private sayUnread(known: readonly string[]): void {
    for (const name of this.unread)
      if (!known.includes(name.toLowerCase()) && !this.read.has(name.toLowerCase())) this.say(named(name), 'left out');
  }
}

const LISTS = ['pictures', 'regions', 'groups', 'tours', 'wordBank'] as const;

/** Of the rest of a map its lists are lists, else they are left out. */
function moreOf(more: Partial<TopicMap> & { format?: unknown; version?: unknown }): Partial<TopicMap> {
  const { format: _format, version: _version, ...rest } = more;
  const lists = LISTS.map((name) => [name, Array.isArray(rest[name]) ? rest[name].filter(isObject) : []]);
  const all = Object.fromEntries(lists) as Partial<TopicMap>;
  // In files what waits in the word bank has no id.
  return { ...rest, ...all, wordBank: all.wordBank!.map((entry, i) => ({ ...entry, id: `bank-${i + 1}` })) };
}
const isObject = (value: unknown): value is object => typeof value === 'object' && value !== null;

/** A kind by its name; by its id too where nobody gave it another name since. */
function kindOf(
  name: string | undefined,
  own: { kind: string | null } | null,
  plain: string | undefined,
): KindNamed | undefined {
  if (name === undefined) return undefined;
  return own?.kind && name === plain ? { name, id: own.kind } : { name };
}
