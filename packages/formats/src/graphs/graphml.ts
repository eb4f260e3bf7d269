import { writeMap } from '@ichnograph/core';
import type { Legend, TopicMap } from '@ichnograph/core';
import { utf8 } from '../files/text.js';
import { xml, xmlFile } from '../files/xml.js';
import { ALL } from '../format.js';
import type { Format, Said } from '../format.js';
import { mapOfDraft } from '../draft/map-of-draft.js';
import { NAMESPACE, plainLink, plainMap, plainTopic, WHOLE } from './graphml-plain.js';
import type { Plain } from './graphml-plain.js';
import { draftOfGraphml } from './graphml-read.js';

const NUMBERS = new Set(['x', 'y', 'width', 'height', 'fontSize', 'lineWidth']);
/** Keys that are declared, by what they are for. */
const KEYS = {
  node: ['label', 'kind', 'x', 'y', 'width', 'height', 'shape', 'fill', 'outline', 'ink', 'fontSize', 'note', WHOLE],
  edge: ['label', 'kind', 'colour', 'lineWidth', 'dash', 'route', 'arrow', WHOLE],
  graph: ['title', 'author', 'focusQuestion', WHOLE],
} as const;

/** GraphML (Brandes, Eiglsperger, Lerner and Pich 2013), with all of a map beside what others read. */
export const graphml: Format = {
  name: 'graphml',
  label: 'GraphML',
  endings: ['graphml'],
  mediaType: 'application/graphml+xml',
  keeps: ALL,
  carries: {
    topics: 'all',
    links: 'all',
    titles: 'all',
    looks: 'all',
    bearing: 'all',
    more: 'all',
  },
  write: (map, { legend }) => ({ content: utf8(xmlFile(graphmlOf(map, legend))), said: [] }),
  read: (content, reading) => {
    const said: Said[] = [];
    const draft = draftOfGraphml(content, (about, reason) => said.push({ about, reason }));
    return mapOfDraft(draft, reading, said);
  },
};

function graphmlOf(map: TopicMap, legend: Legend | undefined): string {
  const keys = Object.entries(KEYS).flatMap(([of, names]) =>
    names.map((name) => {
      const type = NUMBERS.has(name) ? 'double' : 'string';
      return xml('key', { id: `${of}-${name}`, for: of, 'attr.name': name, 'attr.type': type });
    }),
  );
  const { topics, links, ...rest } = writeMap(map) as unknown as TopicMap;
  const nodes = topics.map((topic) => xml('node', { id: topic.id }, dataOf('node', plainTopic(topic, legend), topic)));
  const edges = links.map((link) =>
    xml('edge', { id: link.id, source: link.from, target: link.to }, dataOf('edge', plainLink(link, legend), link)),
  );
  const about = dataOf('graph', plainMap(map), { ...rest, ...(legend && { legend }) });
  const graph = xml('graph', { edgedefault: 'directed' }, [...about, ...nodes, ...edges]);
  return xml('graphml', { xmlns: NAMESPACE }, [...keys, graph]);
}

const dataOf = (of: keyof typeof KEYS, plain: Plain, whole: object): string[] => [
  ...Object.entries(plain).flatMap(([name, value]) =>
    value === undefined ? [] : [xml('data', { key: `${of}-${name}` }, value)],
  ),
  xml('data', { key: `${of}-${WHOLE}` }, jsonForXml(whole)),
];

/** JSON in which nothing is left out that XML cannot hold. */
const jsonForXml = (value: object): string =>
  JSON.stringify(value).replace(
    /[\u007f-\u009f\ufffe\uffff]/g,
    (sign) => `\\u${sign.charCodeAt(0).toString(16).padStart(4, '0')}`,
  );
