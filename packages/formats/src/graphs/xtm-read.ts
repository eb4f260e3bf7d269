import { normalForm } from '@ichnograph/core';
import { emptyDraft } from '../draft/draft.js';
import type { Draft, DraftTopic } from '../draft/draft.js';
import { named } from '../draft/words.js';
import { elementIn, elementsIn, readXml, textIn } from '../files/xml.js';
import type { XmlElement } from '../files/xml.js';
import { Unreadable } from '../format.js';
import type { Say } from '../format.js';
import { ID_BEFORE, XTM } from './xtm-names.js';

interface Role {
  type: string;
  player: string;
}

/** Reads XTM 2.0 and 2.1. */
export function draftOfXtm(content: Uint8Array, say: Say): Draft {
  const root = readXml(content);
  const { version } = root.attributes;
  if (root.name !== 'topicMap') throw new Unreadable(`is no XML Topic Map: it begins with <${root.name}>`);
  if (version !== '2.0' && version !== '2.1')
    throw new Unreadable(`is an XML Topic Map of version ${version ?? '1.0'}; 2.0 and 2.1 can be read`);
  if (root.namespace !== XTM) throw new Unreadable(`is no XML Topic Map of the namespace ${XTM}`);
  return new Reader(root, say).draft();
}

class Reader {
  private readonly topics = new Map<string, XmlElement>();
  /** ids that stand as a type or a role, and as what plays a role */
  private readonly types = new Set<string>();
  private readonly players = new Set<string>();
  private readonly result = emptyDraft(true);

  constructor(
    private readonly root: XmlElement,
    private readonly say: Say,
  ) {}

  draft(): Draft {
    for (const element of elementsIn(this.root, 'topic')) {
      const id = element.attributes.id ?? `topic ${this.topics.size + 1}`;
      if (this.topics.has(id)) this.say(`a second topic ${named(id)}`, 'left out');
      else this.topics.set(id, element);
    }
    for (const { attributes } of elementsIn(this.root, 'mergeMap'))
      this.say(named(attributes.href ?? 'mergeMap'), 'left out: nothing outside the file is read');
    const associations = elementsIn(this.root, 'association');
    this.lookWhatServes(associations);
    const reifier = this.reifierOf(this.root);
    const about = reifier === undefined ? undefined : this.topics.get(reifier);
    this.result.title = (about && nameIn(about)) ?? '';
    for (const [id, element] of this.topics) {
      const isType = this.types.has(id) && !this.players.has(id);
      if (!isType && id !== reifier) this.result.topics.push(this.topic(id, element));
    }
    for (const association of associations) this.association(association);
    return this.result;
  }

  private reifierOf(element: XmlElement): string | undefined {
    const inside = elementIn(element, 'reifier');
    return idIn(inside ? refIn(inside) : element.attributes.reifier);
  }

  private lookWhatServes(associations: readonly XmlElement[]): void {
    const note = (set: Set<string>, id: string | undefined): void => void (id !== undefined && set.add(id));
    const typesIn = (element: XmlElement): void => {
      for (const one of elementsIn(element)) {
        if (one.name === 'type' || one.name === 'instanceOf')
          for (const ref of elementsIn(one)) note(this.types, idIn(ref.attributes.href));
        else typesIn(one);
      }
    };
    for (const element of [...this.topics.values(), ...associations]) typesIn(element);
    for (const association of associations)
      for (const { player } of this.rolesOf(association)) this.players.add(player);
  }

  private topic(id: string, element: XmlElement): DraftTopic {
    const topic: DraftTopic = {
      key: id,
      id: realIdOf(element) ?? id,
      text: this.wordsOf(id),
      kind: kindFrom(elementIn(element, 'instanceOf'), (ref) => this.wordsOf(ref)),
      addresses: [],
    };
    for (const occurrence of elementsIn(element, 'occurrence')) this.occurrence(topic, occurrence);
    return topic;
  }

  private occurrence(topic: DraftTopic, occurrence: XmlElement): void {
    const type = elementIn(occurrence, 'type');
    const name = normalForm(this.typeName(type));
    const [data, ref] = [elementIn(occurrence, 'resourceData'), elementIn(occurrence, 'resourceRef')];
    const value = data ? textIn(data) : (ref?.attributes.href ?? '');
    if (name === 'note' || name === 'description') topic.note = joined(topic.note, value, '\n\n');
    else if (name === 'source') topic.source = joined(topic.source, value, '; ');
    else topic.addresses!.push(value);
  }

  private association(element: XmlElement): void {
    const roles = this.rolesOf(element);
    const phrase = this.typeName(elementIn(element, 'type'));
    const [first, second, ...more] = roles;
    if (!first || !second) {
      this.say(`an association “${named(phrase)}” of ${roles.length === 1 ? 'one role' : 'no roles'}`, 'left out');
      return;
    }
    const { links, topics } = this.result;
    if (more.length === 0) {
      const from = roles.find(({ type }) => ['from', 'source', 'subject'].includes(normalForm(type))) ?? first;
      const to = from === first ? second : first;
      links.push({ from: from.player, to: to.player, phrase });
      return;
    }
    const between = `association ${links.length + 1}`;
    topics.push({ key: between, text: phrase });
    links.push({ from: first.player, to: between, phrase: '' });
    for (const { player } of [second, ...more]) links.push({ from: between, to: player, phrase: '' });
  }

  private rolesOf(association: XmlElement): Role[] {
    return elementsIn(association, 'role').map((role) => ({
      type: this.typeName(elementIn(role, 'type')),
      player: idIn(refIn(role)) ?? '',
    }));
  }

  private typeName(type: XmlElement | undefined): string {
    const ref = type && refIn(type);
    return ref === undefined ? '' : this.wordsOf(idIn(ref) ?? ref);
  }

  /** What a topic is called: its first name, else the last part of what identifies its subject, else its id. */
  private wordsOf(id: string): string {
    const element = this.topics.get(id);
    const subject = element && elementIn(element, 'subjectIdentifier')?.attributes.href;
    return (element && nameIn(element)) ?? lastPart(subject ?? '') ?? (element ? id : (lastPart(id) ?? id));
  }
}

const nameIn = (topic: XmlElement): string | undefined => {
  const value = elementsIn(topic, 'name').map((name) => elementIn(name, 'value'))[0];
  return value && textIn(value).trim();
};

/** A reference to a topic, whichever way it is made. */
const refIn = (element: XmlElement): string | undefined =>
  elementsIn(element).find(({ name }) => /^(topic|subjectIdentifier|subjectLocator)Ref$/.test(name))?.attributes.href;
/** The id in a reference within the file; all of a reference elsewhere. */
const idIn = (href: string | undefined): string | undefined => (href?.startsWith('#') ? href.slice(1) : href);

/** An id of ours that XML does not allow. */
function realIdOf(topic: XmlElement): string | undefined {
  const href = elementsIn(topic, 'itemIdentity')
    .map(({ attributes }) => attributes.href)
    .find((one) => one?.startsWith(ID_BEFORE));
  if (href === undefined) return undefined;
  try {
    return decodeURIComponent(href.slice(ID_BEFORE.length));
  } catch (error) {
    if (!(error instanceof URIError)) throw error;
    return undefined;
  }
}

function kindFrom(instanceOf: XmlElement | undefined, wordsOf: (id: string) => string): DraftTopic['kind'] {
  const ref = instanceOf && idIn(refIn(instanceOf));
  return ref === undefined ? undefined : { name: wordsOf(ref) };
}

function lastPart(address: string): string | undefined {
  const part = address.split(/[/#]/).findLast((one) => one !== '');
  if (part === undefined) return undefined;
  try {
    return decodeURIComponent(part);
  } catch (error) {
    if (!(error instanceof URIError)) throw error;
    return part;
  }
}

const joined = (before: string | undefined, more: string, by: string): string =>
  before === undefined ? more : `${before}${by}${more}`;
