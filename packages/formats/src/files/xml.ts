import { SaxesParser } from 'saxes';
import { Unreadable } from '../format.js';
import { textOf } from './text.js';

/** An element of an XML file by its local name; attributes in no namespace, and what is in it. */
export interface XmlElement {
  name: string;
  namespace: string;
  attributes: Readonly<Record<string, string>>;
  children: (XmlElement | string)[];
}

/** An outline may be as deep as a map has topics. */
const DEEPEST = 6000;
const MOST_ATTRIBUTES = 100;

/**
 * Reads XML. Nothing outside the file is ever read, and nothing in it can be defined: a DOCTYPE with a subset is refused.
 * @throws Unreadable with the place where it is none
 */
export function readXml(content: Uint8Array): XmlElement {
  const text = textOf(content);
  if (text.trim() === '') throw new Unreadable('is empty');
  const parser = new SaxesParser({ xmlns: true, position: true });
  const open: XmlElement[] = [];
  let root: XmlElement | null = null;
  const refuse = (reason: string): never => {
    throw new Unreadable(`${reason} at line ${parser.line}, column ${parser.column + 1}`);
  };
  /** What only sets elements apart is no text. */
  const take = (words: string): void => {
    if (words.trim() !== '' || !words.includes('\n')) open.at(-1)?.children.push(words);
  };
  parser.on('error', ({ message }) => refuse(`is no well-formed XML: ${message.replace(/^\d+:\d+: /, '')}`));
  parser.on('doctype', (doctype) => {
    if (doctype.includes('[')) refuse('has a DOCTYPE that defines something, which is refused');
  });
  parser.on('opentag', ({ local, uri, attributes }) => {
    if (open.length >= DEEPEST) refuse(`is nested more than ${DEEPEST} levels deep`);
    const own: Record<string, string> = Object.create(null) as Record<string, string>;
    let count = 0;
    for (const name in attributes) {
      if ((count += 1) > MOST_ATTRIBUTES) refuse(`has an element of more than ${MOST_ATTRIBUTES} attributes`);
      const attribute = attributes[name]!;
      if (attribute.uri === '') own[attribute.local] = attribute.value;
    }
    const element = { name: local, namespace: uri, attributes: own, children: [] };
    open.at(-1)?.children.push(element);
    root ??= element;
    open.push(element);
  });
  parser.on('closetag', () => void open.pop());
  parser.on('text', take);
  parser.on('cdata', take);
  parser.write(text).close();
  return root ?? refuse('holds no element');
}

export const elementsIn = ({ children }: XmlElement, name?: string): XmlElement[] =>
  children.filter((child): child is XmlElement => typeof child !== 'string' && (!name || child.name === name));
export const elementIn = (element: XmlElement, name: string): XmlElement | undefined => elementsIn(element, name)[0];

/** All text in an element, at whatever depth. */
export const textIn = ({ children }: XmlElement): string =>
  children.map((child) => (typeof child === 'string' ? child : textIn(child))).join('');

/** What XML cannot hold is left out. */
// eslint-disable-next-line no-control-regex
const UNFIT = /[\u0000-\u0008\u000b\u000c\u000e-\u001f\ufffe\uffff]/g;
export const fitForXml = (text: string): string => text.replace(UNFIT, '');

const ESCAPED: Record<string, string> = {
  '&': '&amp;',
  '<': '&lt;',
  '>': '&gt;',
  '"': '&quot;',
  // Else a reader takes them for spaces, or for other line breaks.
  '\t': '&#9;',
  '\n': '&#10;',
  '\r': '&#13;',
};
const inAttribute = (text: string): string => fitForXml(text).replace(/[&<>"\t\n\r]/g, (sign) => ESCAPED[sign]!);
const inText = (text: string): string => fitForXml(text).replace(/[&<>\r]/g, (sign) => ESCAPED[sign]!);

type Attributes = Readonly<Record<string, string | undefined>>;

/** The start of an element; attributes that are undefined are left out. */
export function xmlStart(name: string, attributes: Attributes, end: '>' | '/>' = '>'): string {
  const own = Object.entries(attributes).flatMap(([key, value]) =>
    value === undefined ? [] : [` ${key}="${inAttribute(value)}"`],
  );
  return `<${name}${own.join('')}${end}`;
}

/** An element as it is written, on lines of its own where it holds others. */
export function xml(name: string, attributes: Attributes, inside: string | readonly string[] = []): string {
  if (typeof inside === 'string') return `${xmlStart(name, attributes)}${inText(inside)}</${name}>`;
  if (inside.length === 0) return xmlStart(name, attributes, '/>');
  return `${xmlStart(name, attributes)}\n${inside.join('\n')}\n</${name}>`;
}

export const xmlFile = (root: string): string => `<?xml version="1.0" encoding="UTF-8"?>\n${root}\n`;
