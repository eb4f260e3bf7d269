import { linkStyle, topicStyle } from '@ichnograph/core';
import type { Legend, Link, Region, Shape, Topic, TopicMap } from '@ichnograph/core';
import { droppedOf } from '../dropped.js';
import { mapOfDraft } from '../draft/map-of-draft.js';
import { named, onLines, onOneLine } from '../draft/words.js';
import { textOf, utf8 } from '../files/text.js';
import { fitForXml } from '../files/xml.js';
import type { Format, Keeps, Said, Say } from '../format.js';
import { kindName, linkKindName } from '../outlines/lines.js';
import { draftOfDot } from './dot-read.js';
import { INCHES, POINTS } from './dot-units.js';

const keeps: Keeps = { arrows: 'all', kinds: 'all', regions: 'all' };

/** The nearest shape that Graphviz draws. */
const DOT_SHAPES: Readonly<Record<Shape, string>> = {
  rectangle: 'box',
  rounded: 'box',
  capsule: 'box',
  note: 'note',
  plain: 'plaintext',
  ellipse: 'ellipse',
  hexagon: 'hexagon',
  diamond: 'diamond',
  parallelogram: 'parallelogram',
  octagon: 'octagon',
  trapezoid: 'trapezium',
  signpost: 'cds',
};
const isRound = (shape: Shape): boolean => shape === 'rounded' || shape === 'capsule';

/** The language of Graphviz's programs, which draw it as it is by `neato -n`. */
export const dot: Format = {
  name: 'dot',
  label: 'DOT graph',
  endings: ['dot', 'gv'],
  mediaType: 'text/vnd.graphviz',
  keeps,
  carries: {
    topics: 'id, text, kind',
    links: 'ends, phrase, kind, arrow',
    titles: 'title',
    looks: 'places, sizes, nearest shape, colours, widths, dash',
    bearing: 'dropped',
    more: 'regions as clusters',
  },
  write: (map, { legend }) => {
    const said = droppedOf(map, legend, keeps);
    const lines = [
      `  label=${labelled(onOneLine(map.title))};`,
      ...map.topics.map((topic) => `  ${quoted(topic.id)} [${attributes(topicAttributes(topic, legend))}];`),
      ...clusters(map, (about, reason) => said.push({ about, reason })),
      ...map.links.map(
        (link) => `  ${quoted(link.from)} -> ${quoted(link.to)} [${attributes(linkAttributes(link, legend))}];`,
      ),
    ];
    return { content: utf8(`digraph {\n${lines.join('\n')}\n}\n`), said };
  },
  read: (content, reading) => {
    const said: Said[] = [];
    const draft = draftOfDot(textOf(content), (about, reason) => said.push({ about, reason }));
    return mapOfDraft(draft, reading, said);
  },
};

/** A quoted string: what is written in it is what is meant. */
const quoted = (text: string): string => `"${fitForXml(text).replace(/\\/g, '\\\\').replace(/"/g, '\\"')}"`;
/** A label, in which Graphviz reads escapes and character references. */
const labelled = (text: string): string => quoted(text.replace(/&/g, '&amp;')).replace(/\r\n?|\n/g, '\\n');

const attributes = (all: Readonly<Record<string, string | undefined>>): string =>
  Object.entries(all)
    .flatMap(([name, value]) => (value === undefined ? [] : [`${name}=${value}`]))
    .join(' ');

/** Without a sign before nothing. */
const fixed = (value: number, digits: number): string => value.toFixed(digits).replace(/^-(0\.0*)$/, '$1');

function topicAttributes(topic: Topic, legend: Legend | undefined): Record<string, string | undefined> {
  const { shape, fill, outline, ink, fontSize } = topicStyle(topic, legend);
  const kind = kindName(legend, topic);
  return {
    label: labelled(onLines(topic.text)),
    kind: kind === undefined ? undefined : labelled(onOneLine(kind)),
    shape: DOT_SHAPES[shape],
    style: isRound(shape) ? '"filled,rounded"' : '"filled"',
    fillcolor: fill === 'none' ? '"transparent"' : `"${fill}"`,
    color: `"${outline}"`,
    fontcolor: `"${ink}"`,
    fontsize: String(fontSize * POINTS),
    width: fixed(topic.width * INCHES, 5),
    height: fixed(topic.height * INCHES, 5),
    pos: `"${fixed(topic.x * POINTS, 4)},${fixed(-topic.y * POINTS, 4)}!"`,
  };
}

function linkAttributes(link: Link, legend: Legend | undefined): Record<string, string | undefined> {
  const { colour, width, dash, arrow } = linkStyle(link, legend);
  const kind = linkKindName(legend, link);
  return {
    label: labelled(onLines(link.phrase)),
    kind: kind === undefined ? undefined : labelled(onOneLine(kind)),
    color: `"${colour}"`,
    penwidth: String(width * POINTS),
    style: dash,
    dir: arrow,
  };
}

/** Each topic in the first of its regions: clusters that share a node are not drawn. */
function clusters({ regions, topics }: TopicMap, say: Say): string[] {
  const byId = new Map(topics.map((topic) => [topic.id, topic]));
  const taken = new Map<string, Region>();
  return regions.map((region) => {
    const own = [...new Set(region.topics)].filter((id) => {
      const topic = byId.get(id);
      const first = taken.get(id);
      if (topic && first)
        say(
          named(topic.text || id),
          `left out of the region “${named(region.title)}”: it is in “${named(first.title)}”`,
        );
      if (!topic || first) return false;
      taken.set(id, region);
      return true;
    });
    const bgcolor = region.fill === 'none' ? 'transparent' : region.fill;
    const inside = [`label=${labelled(onOneLine(region.title))}`, `bgcolor="${bgcolor}"`, ...own.map(quoted)];
    return `  subgraph ${quoted(`cluster_${region.id}`)} { ${inside.join('; ')} }`;
  });
}
