import { isBlank } from '@ichnograph/core';
import type { Legend, TopicMap } from '@ichnograph/core';
import { droppedOf } from '../dropped.js';
import { mapOfDraft } from '../draft/map-of-draft.js';
import { onLines, onOneLine } from '../draft/words.js';
import { utf8 } from '../files/text.js';
import { fitForXml, xml, xmlFile } from '../files/xml.js';
import type { Format, Keeps, Said } from '../format.js';
import { kindName } from '../outlines/lines.js';
import { draftOfXtm } from './xtm-read.js';
import { BLANK_PHRASE, ID_BEFORE, XTM } from './xtm-names.js';

const keeps: Keeps = { notes: 'all', sources: 'all', addresses: 'all', kinds: 'of topics' };

/** XML Topic Maps 2.0 (ISO/IEC 13250-3): a link is an association, typed by what it says. */
export const xtm: Format = {
  name: 'xtm',
  label: 'XML Topic Map',
  endings: ['xtm'],
  mediaType: 'application/xtm+xml',
  keeps,
  carries: {
    topics: 'id, text, kind',
    links: 'ends, phrase (a blank one becomes “is linked to”)',
    titles: 'title',
    looks: 'dropped',
    bearing: 'kept',
    more: 'dropped',
  },
  write: (map, { legend }) => ({
    content: utf8(xmlFile(new Writer(map, legend).map())),
    said: droppedOf(map, legend, keeps),
  }),
  read: (content, reading) => {
    const said: Said[] = [];
    const draft = draftOfXtm(content, (about, reason) => said.push({ about, reason }));
    return mapOfDraft(draft, reading, said);
  },
};

/** A name of XML without a colon, in the letters that all readers take. */
const NC_NAME =
  /^[A-Za-z_\u00c0-\u00d6\u00d8-\u00f6\u00f8-\u02ff\u0370-\u037d\u037f-\u1fff][\w.\-\u00b7\u00c0-\u00d6\u00d8-\u00f6\u00f8-\u037d\u037f-\u1fff]*$/;
const refTo = (id: string): string => xml('topicRef', { href: `#${id}` });
/** A name that says nothing is one too: without it a topic would be called by its id. */
const named = (text: string): string => xml('name', {}, [xml('value', {}, text)]);
const typed = (id: string): string => xml('type', {}, [refTo(id)]);

class Writer {
  private readonly used = new Set(['map', 'from', 'to', 'note', 'source', 'address']);
  private readonly kinds: ReadonlyMap<string, string>;
  private readonly phrases: ReadonlyMap<string, string>;
  private readonly ids: ReadonlyMap<string, string>;

  constructor(
    private readonly topicMap: TopicMap,
    private readonly legend: Legend | undefined,
  ) {
    const { topics, links } = topicMap;
    this.kinds = this.numbered(
      'kind',
      topics.flatMap((topic) => kindName(legend, topic) ?? []),
    );
    this.phrases = this.numbered(
      'phrase',
      links.map(({ phrase }) => this.said(phrase)),
    );
    this.ids = this.fitted(topics.map(({ id }) => id));
  }

  map(): string {
    const { topics, links, title } = this.topicMap;
    const roles = links.length > 0 ? (['from', 'to'] as const).map((role) => [role, role] as const) : [];
    const types = [...this.kinds, ...this.phrases, ...roles];
    const bearing = (['note', 'source', 'address'] as const).filter((name) =>
      topics.some((topic) => this.bears(topic, name)),
    );
    return xml('topicMap', { xmlns: XTM, version: '2.0', reifier: '#map' }, [
      xml('topic', { id: 'map' }, [named(onOneLine(title))]),
      ...types.map(([name, id]) => xml('topic', { id }, [named(name)])),
      ...bearing.map((name) => xml('topic', { id: name }, [named(name)])),
      ...topics.map((topic) => this.topic(topic)),
      ...links.map(({ from, to, phrase }) =>
        xml('association', {}, [
          typed(this.phrases.get(this.said(phrase))!),
          xml('role', {}, [typed('from'), refTo(this.ids.get(from)!)]),
          xml('role', {}, [typed('to'), refTo(this.ids.get(to)!)]),
        ]),
      ),
    ]);
  }

  private said(phrase: string): string {
    return isBlank(phrase) ? BLANK_PHRASE : fitForXml(onLines(phrase));
  }

  private bears(
    { note, source, weblinks = [] }: TopicMap['topics'][number],
    name: 'note' | 'source' | 'address',
  ): boolean {
    return name === 'address' ? weblinks.length > 0 : !isBlank(name === 'note' ? note : source);
  }

  private topic(topic: TopicMap['topics'][number]): string {
    const id = this.ids.get(topic.id)!;
    const kind = kindName(this.legend, topic);
    const occurrence = (type: string, value: string): string => xml('occurrence', {}, [typed(type), value]);
    const data = (text: string): string => xml('resourceData', {}, text);
    return xml('topic', { id }, [
      ...(id === topic.id ? [] : [xml('itemIdentity', { href: `${ID_BEFORE}${encodeURIComponent(topic.id)}` })]),
      ...(kind === undefined ? [] : [xml('instanceOf', {}, [refTo(this.kinds.get(kind)!)])]),
      named(onLines(topic.text)),
      ...(isBlank(topic.note) ? [] : [occurrence('note', data(topic.note!))]),
      ...(isBlank(topic.source) ? [] : [occurrence('source', data(topic.source!))]),
      ...(topic.weblinks ?? []).map(({ url }) =>
        occurrence('address', /^https?:/i.test(url) ? xml('resourceRef', { href: url }) : data(url)),
      ),
    ]);
  }

  /** For each different name an id of its own. */
  private numbered(word: string, names: readonly string[]): Map<string, string> {
    const ids = new Map<string, string>();
    for (const name of names) if (!ids.has(name)) ids.set(name, `${word}-${ids.size + 1}`);
    for (const id of ids.values()) this.used.add(id);
    return ids;
  }

  /** An id that XML does not allow, or that something else here has, becomes a `t` and a number. */
  private fitted(wanted: readonly string[]): Map<string, string> {
    const isFit = (id: string): boolean => NC_NAME.test(id) && !this.used.has(id);
    const ids = new Map(wanted.filter(isFit).map((id) => [id, id]));
    const taken = new Set([...this.used, ...ids.keys()]);
    let count = 0;
    for (const id of wanted) {
      if (ids.has(id)) continue;
      while (taken.has(`t${(count += 1)}`));
      ids.set(id, `t${count}`);
    }
    return ids;
  }
}
