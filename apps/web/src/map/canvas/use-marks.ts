import type { Legend, LoosePicture, TopicMap } from '@ichnograph/core';
import { Position } from '@xyflow/react';
import { useRef } from 'react';
import { linkLayer, pictureLayer, topicLayer } from './canvas-marks';
import type { LinkEdge, MarkNode, PictureNode, TopicNode } from './canvas-marks';
import { readAloud } from '../reading/reading-line';

export interface Shown {
  map: TopicMap;
  legend: Legend;
  selection: ReadonlySet<string>;
  /** what is not in it is dimmed; null dims nothing */
  concern: ReadonlySet<string> | null;
  /** topics in the hand, by id, where they are now */
  moved: ReadonlyMap<string, { x: number; y: number }>;
  mayEdit: boolean;
  /** the id of what is being typed into, whose own words are hidden meanwhile */
  typing: string | null;
}

interface Known {
  nodes: Map<string, TopicNode>;
  pictures: Map<string, PictureNode>;
  edges: Map<string, LinkEdge>;
  lists: { nodes: MarkNode[]; edges: LinkEdge[] };
}

const sameOr = <T>(before: T[], now: T[]): T[] =>
  before.length === now.length && now.every((one, i) => one === before[i]) ? before : now;

/** Nodes and edges for React Flow, the very same objects as before where nothing changed. */
export function useMarks({ map, legend, selection, concern, moved, mayEdit, typing }: Shown): {
  nodes: MarkNode[];
  edges: LinkEdge[];
} {
  const known = useRef<Known>({
    nodes: new Map(),
    pictures: new Map(),
    edges: new Map(),
    lists: { nodes: [], edges: [] },
  });
  const nodes = map.topics.map((original): TopicNode => {
    const before = known.current.nodes.get(original.id);
    const at = moved.get(original.id);
    const wanted = {
      dimmed: concern !== null && !concern.has(original.id),
      selected: selection.has(original.id),
      hidden: typing === original.id,
    };
    const still =
      before &&
      before.data.original === original &&
      before.data.legend === legend &&
      before.data.mayEdit === mayEdit &&
      before.data.hidden === wanted.hidden &&
      before.data.dimmed === wanted.dimmed &&
      before.selected === wanted.selected &&
      (at
        ? before.position.x === at.x && before.position.y === at.y
        : before.position.x === original.x && before.position.y === original.y);
    if (still) return before;
    const topic = at ? { ...original, ...at } : original;
    const { width, height } = topic;
    return {
      id: topic.id,
      type: 'topic',
      ariaLabel: [topic.text, ...(topic.pictures ?? []).flatMap(({ alt }) => (alt ? [`Picture: ${alt}`] : []))].join(
        '. ',
      ),
      ariaRole: 'group',
      position: { x: topic.x, y: topic.y },
      width,
      height,
      measured: { width, height },
      selected: wanted.selected,
      zIndex: topicLayer(topic, legend),
      data: { original, topic, legend, dimmed: wanted.dimmed, mayEdit, hidden: wanted.hidden },
      handles: [
        { type: 'target', position: Position.Top, x: width / 2, y: 0, width: 1, height: 1 },
        { type: 'source', position: Position.Bottom, x: width / 2, y: height, width: 1, height: 1 },
      ],
    };
  });
  const nodeById = new Map(nodes.map((node) => [node.id, node]));
  const edges = map.links.map((link): LinkEdge => {
    const before = known.current.edges.get(link.id);
    const [from, to] = [nodeById.get(link.from)!.data.topic, nodeById.get(link.to)!.data.topic];
    const wanted = {
      dimmed: concern !== null && !concern.has(link.id),
      selected: selection.has(link.id),
      phraseHidden: typing === link.id,
    };
    const data = before?.data;
    if (
      before &&
      data &&
      data.link === link &&
      data.from === from &&
      data.to === to &&
      data.legend === legend &&
      data.dimmed === wanted.dimmed &&
      data.phraseHidden === wanted.phraseHidden &&
      before.selected === wanted.selected
    )
      return before;
    return {
      id: link.id,
      type: 'link',
      ariaLabel: readAloud({ topics: [from, to], links: [link] }, { legend, styleMode: 'guided' }, link.id),
      source: link.from,
      target: link.to,
      selected: wanted.selected,
      zIndex: linkLayer(link, legend),
      data: { link, from, to, legend, dimmed: wanted.dimmed, phraseHidden: wanted.phraseHidden },
    };
  });
  const before = known.current;
  const pictures = map.pictures.map((picture): PictureNode => {
    const wanted = { dimmed: concern !== null, selected: selection.has(picture.id) };
    return pictureNode(picture, wanted, moved.get(picture.id), before.pictures.get(picture.id));
  });
  known.current = {
    nodes: nodeById,
    pictures: new Map(pictures.map((node) => [node.id, node])),
    edges: new Map(edges.map((edge) => [edge.id, edge])),
    // The very same lists too, where nothing in them changed: React Flow takes a new one in whole.
    lists: { nodes: sameOr(before.lists.nodes, [...pictures, ...nodes]), edges: sameOr(before.lists.edges, edges) },
  };
  return known.current.lists;
}

/** A loose picture for React Flow; the very same object as before where nothing of it changed. */
function pictureNode(
  original: LoosePicture,
  { dimmed, selected }: { dimmed: boolean; selected: boolean },
  at: { x: number; y: number } | undefined,
  before: PictureNode | undefined,
): PictureNode {
  const { x, y } = at ?? original;
  if (
    before &&
    before.data.original === original &&
    before.data.dimmed === dimmed &&
    before.selected === selected &&
    before.position.x === x &&
    before.position.y === y
  )
    return before;
  const { width, height } = original;
  return {
    id: original.id,
    type: 'picture',
    ariaLabel: original.alt === '' ? 'Picture without words' : `Picture: ${original.alt}`,
    ariaRole: 'img',
    position: { x, y },
    width,
    height,
    measured: { width, height },
    selected,
    connectable: false,
    draggable: original.fixed !== true,
    // What lies still is no ground for a hand: it goes through to the canvas.
    style: { pointerEvents: original.fixed && !selected ? 'none' : 'all' },
    zIndex: pictureLayer(original),
    data: { original, picture: { ...original, x, y }, dimmed },
  };
}
