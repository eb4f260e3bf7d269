import { linkStyle } from '@ichnograph/core';
import type { Arrow, Legend } from '@ichnograph/core';
import { droppedOf } from '../dropped.js';
import { emptyDraft } from '../draft/draft.js';
import type { Draft, DraftLink } from '../draft/draft.js';
import { mapOfDraft } from '../draft/map-of-draft.js';
import { named, onOneLine } from '../draft/words.js';
import { elementIn, elementsIn, readXml, textIn, xml, xmlFile, xmlStart } from '../files/xml.js';
import type { XmlElement } from '../files/xml.js';
import { utf8 } from '../files/text.js';
import { Unreadable } from '../format.js';
import type { Format, Keeps, Said, Say } from '../format.js';
import { kindName, linesOf } from './lines.js';
import type { Line } from './lines.js';

const keeps: Keeps = { notes: 'all', sources: 'all', addresses: 'first', arrows: 'all', kinds: 'of topics' };
const ARROWS: readonly string[] = ['forward', 'both', 'none'] satisfies Arrow[];
const isArrow = (word: unknown): word is Arrow => ARROWS.includes(word as string);

/** OPML 2.0 (Winer 2007), with attributes of our own for what an outline of topics and links has beside. */
export const opml: Format = {
  name: 'opml',
  label: 'OPML outline',
  endings: ['opml'],
  mediaType: 'text/x-opml',
  keeps,
  carries: {
    topics: 'id, text, kind, outline order',
    links: 'outline and ties, phrase, arrow',
    titles: 'title, author',
    looks: 'dropped',
    bearing: 'note, source, first address',
    more: 'dropped',
  },
  write: (map, { legend, at }) => {
    const said = droppedOf(map, legend, keeps);
    const lines = linesOf(map, (about, reason) => said.push({ about, reason }));
    const head = xml('head', {}, [
      xml('title', {}, onOneLine(map.title)),
      xml('dateModified', {}, at.toUTCString()),
      xml('ownerName', {}, onOneLine(map.author)),
    ]);
    const body = xml('body', {}, nested(lines, legend));
    return { content: utf8(xmlFile(xml('opml', { version: '2.0' }, [head, body]))), said };
  },
  read: (content, reading) => {
    const root = readXml(content);
    const body = elementIn(root, 'body');
    if (root.name !== 'opml' || !body) throw new Unreadable('is no OPML: it has no <opml> with a <body>');
    const said: Said[] = [];
    return mapOfDraft(
      draftOf(root, body, (about, reason) => said.push({ about, reason })),
      reading,
      said,
    );
  },
};

/** Lines as elements within each other. */
function nested(lines: readonly Line[], legend: Legend | undefined): string[] {
  return lines.map((line, i) => {
    const next = lines[i + 1]?.depth ?? 0;
    const start = xmlStart('outline', attributesOf(line, legend), next > line.depth ? '>' : '/>');
    return start + '</outline>'.repeat(Math.max(0, line.depth - next));
  });
}

function attributesOf({ topic, by, ties }: Line, legend: Legend | undefined): Record<string, string | undefined> {
  const arrow = by && linkStyle(by, legend).arrow;
  const told = ties.map((link) => {
    const { arrow: points } = linkStyle(link, legend);
    return { to: link.to, phrase: onOneLine(link.phrase), ...(points !== 'forward' && { arrow: points }) };
  });
  return {
    text: onOneLine(topic.text),
    id: topic.id,
    kind: kindName(legend, topic),
    note: filled(topic.note),
    source: filled(topic.source),
    url: filled(topic.weblinks?.[0]?.url),
    phrase: filled(by ? onOneLine(by.phrase) : ''),
    arrow: arrow && arrow !== 'forward' ? arrow : undefined,
    ties: told.length > 0 ? JSON.stringify(told) : undefined,
  };
}
const filled = (text: string | undefined): string | undefined => (text?.trim() ? text : undefined);

function draftOf(root: XmlElement, body: XmlElement, say: Say): Draft {
  const head = elementIn(root, 'head');
  const inHead = (name: string): string => {
    const found = head && elementIn(head, name);
    return found ? textIn(found) : '';
  };
  const draft: Draft = { ...emptyDraft(false), title: inHead('title'), author: inHead('ownerName') };
  const keys = new Map<string, string>();
  const ties: (() => DraftLink[])[] = [];
  /** elements still to be read, the next one last, and the topic that each hangs from */
  const left = elementsIn(body, 'outline')
    .map((element) => ({ element, from: null as string | null }))
    .reverse();
  for (let next = left.pop(); next; next = left.pop()) {
    const { element, from } = next;
    const own = topicOf(element, draft.topics.length);
    if (own) {
      draft.topics.push(own);
      const { id, phrase = '', arrow, ties: told } = element.attributes;
      if (id !== undefined && !keys.has(id)) keys.set(id, own.key);
      if (from !== null) draft.links.push({ from, to: own.key, phrase, ...(isArrow(arrow) && { arrow }) });
      if (told !== undefined) ties.push(() => tiesOf(told, own.key, keys, say));
    }
    for (const child of elementsIn(element, 'outline').reverse()) left.push({ element: child, from: own?.key ?? from });
  }
  // After what hangs: the first link that leads to a topic is the one it hangs by.
  for (const told of ties) draft.links.push(...told());
  return draft;
}

function topicOf({ attributes }: XmlElement, count: number): Draft['topics'][number] | null {
  const text = attributes.text?.trim() ? attributes.text : (attributes.title ?? '');
  if (text.trim() === '') return null;
  const { id, kind, note, _note, source, url, htmlUrl, xmlUrl } = attributes;
  const addresses = new Set([url, htmlUrl, xmlUrl].filter((one) => one !== undefined));
  return {
    key: `line ${count + 1}`,
    ...(id !== undefined && { id }),
    text,
    kind: kind === undefined ? undefined : { name: kind },
    note: note ?? _note,
    source,
    addresses: [...addresses],
  };
}

/** Ties as our own files tell them. */
function tiesOf(json: string, from: string, keys: ReadonlyMap<string, string>, say: Say): DraftLink[] {
  const list = parsed(json);
  if (!list) {
    say(named(json), 'left out: ties are a list in JSON');
    return [];
  }
  return list.flatMap((tie): DraftLink[] => {
    const { to, phrase, arrow } = (tie ?? {}) as { to?: unknown; phrase?: unknown; arrow?: unknown };
    if (typeof to !== 'string') {
      say(named(JSON.stringify(tie)), 'left out: a tie names what it leads to');
      return [];
    }
    const words = typeof phrase === 'string' ? phrase : '';
    return [{ from, to: keys.get(to) ?? to, phrase: words, ...(isArrow(arrow) && { arrow }) }];
  });
}

function parsed(json: string): unknown[] | null {
  try {
    const value: unknown = JSON.parse(json);
    return Array.isArray(value) ? value : null;
  } catch (error) {
    if (!(error instanceof SyntaxError)) throw error;
    return null;
  }
}
