import { drawLink, drawMark, linkStyle, pathData, topicStyle } from '@ichnograph/core';
import type { DrawnShape, Legend, Link, LoosePicture, Topic } from '@ichnograph/core';
import { Handle, Position } from '@xyflow/react';
import type { Edge, EdgeProps, Node, NodeProps } from '@xyflow/react';
import { memo } from 'react';
import { DIMMED } from '../drawing/dimmed';
import { Shapes, Underlay } from '../drawing/drawing';

/** The two things React Flow draws for us. It is told every size and place and measures nothing. */

const NO_TOPICS: ReadonlyMap<string, Topic> = new Map();

export interface TopicData extends Record<string, unknown> {
  topic: Topic;
  legend: Legend;
  dimmed: boolean;
  mayEdit: boolean;
  hidden: boolean;
}
export interface LinkData extends Record<string, unknown> {
  link: Link;
  from: Topic;
  to: Topic;
  legend: Legend;
  dimmed: boolean;
  phraseHidden: boolean;
}
export interface PictureData extends Record<string, unknown> {
  original: LoosePicture;
  picture: LoosePicture;
  dimmed: boolean;
}
export type TopicNode = Node<TopicData, 'topic'>;
export type PictureNode = Node<PictureData, 'picture'>;
export type MarkNode = TopicNode | PictureNode;
export type LinkEdge = Edge<LinkData, 'link'>;

/** What core drew around a mark's own centre, and a frame where it is chosen. */
function Drawn({
  size: { width, height },
  selected,
  shapes,
}: {
  size: { width: number; height: number };
  selected: boolean;
  shapes: readonly DrawnShape[];
}) {
  return (
    <>
      {selected && <div className="pointer-events-none absolute -inset-[5px] border-2 border-action bg-action/10" />}
      <svg
        aria-hidden
        width={width}
        height={height}
        viewBox={`${-width / 2} ${-height / 2} ${width} ${height}`}
        className="block overflow-visible"
      >
        <Shapes shapes={shapes} />
      </svg>
    </>
  );
}

export const CanvasTopic = memo(function CanvasTopic({
  data: { topic, legend, dimmed, mayEdit, hidden },
  selected,
}: NodeProps<TopicNode>) {
  const { width, height } = topic;
  return (
    <div
      style={{ width, height, opacity: hidden ? 0 : dimmed ? DIMMED : 1 }}
      className="group relative"
      data-topic={topic.text}
    >
      <Drawn
        size={topic}
        selected={selected}
        shapes={drawMark('topics', topic, { legend, topicById: NO_TOPICS })?.shapes ?? []}
      />
      <Handle type="target" position={Position.Top} isConnectable={false} className="!pointer-events-none !opacity-0" />
      <Handle
        type="source"
        position={Position.Bottom}
        isConnectable={mayEdit}
        className={`grip ${mayEdit ? '' : '!hidden'}`}
        title="Press: a new topic that hangs from it. Pull to another topic: a link to it."
        aria-hidden
      />
    </div>
  );
});

/** A picture that belongs to no topic. */
export const CanvasPicture = memo(function CanvasPicture({
  data: { picture, dimmed },
  selected,
}: NodeProps<PictureNode>) {
  const { width, height, fixed } = picture;
  return (
    <div
      style={{ width, height, opacity: dimmed ? DIMMED : 1 }}
      className={`relative ${fixed && !selected ? 'pointer-events-none' : ''}`}
      data-picture={picture.alt}
    >
      <Drawn
        size={picture}
        selected={selected}
        shapes={drawMark('pictures', picture, { legend: undefined, topicById: NO_TOPICS })?.shapes ?? []}
      />
    </div>
  );
});

export const CanvasLink = memo(function CanvasLink({ data, selected }: EdgeProps<LinkEdge>) {
  if (!data) return null;
  const { link, from, to, legend, dimmed, phraseHidden } = data;
  const { line, phrase } = drawLink(link, from, to, legend);
  const ends = new Map([from, to].map((topic) => [topic.id, topic]));
  const shapes = drawMark('links', link, { legend, topicById: ends })?.shapes ?? [];
  return (
    <g opacity={dimmed ? DIMMED : 1} data-link={`${from.text} → ${to.text}`}>
      <path
        d={pathData(line)}
        fill="none"
        stroke="transparent"
        strokeWidth="16"
        className="react-flow__edge-interaction cursor-pointer"
      />
      {phrase && (
        <rect
          x={phrase.box.left}
          y={phrase.box.top}
          width={phrase.box.right - phrase.box.left}
          height={phrase.box.bottom - phrase.box.top}
          fill="transparent"
          className="cursor-pointer"
        />
      )}
      {selected && <Underlay shapes={shapes} colour="#1f6f63" opacity={0.3} />}
      <Shapes shapes={shapes} selected={selected ?? false} wordless={phraseHidden} />
    </g>
  );
});

/** Drawing order as core has it: by z, at one z pictures, links, topics. */
export const pictureLayer = ({ z = 0 }: LoosePicture): number => Math.round(z * 2) - 1;
export const topicLayer = (topic: Topic, legend: Legend): number => Math.round(topicStyle(topic, legend).z * 2) + 1;
export const linkLayer = (link: Link, legend: Legend): number => Math.round(linkStyle(link, legend).z * 2);
