import { drawLink, linkStyle, pathData, topicStyle } from '@ichnograph/core';
import type { Legend, Link, Topic } from '@ichnograph/core';
import { Handle, Position } from '@xyflow/react';
import type { Edge, EdgeProps, Node, NodeProps } from '@xyflow/react';
import { memo } from 'react';
import { STATUS_COLOURS } from '../ui/balloon';
import { LinkDrawingView, TopicDrawing } from './drawing';
import type { Flag } from './flags';

/** The two things React Flow draws for us. It is told every size and place and measures nothing. */

export interface TopicData extends Record<string, unknown> {
  topic: Topic;
  legend: Legend;
  flags: readonly Flag[];
  dimmed: boolean;
  mayEdit: boolean;
  hidden: boolean;
}
export interface LinkData extends Record<string, unknown> {
  link: Link;
  from: Topic;
  to: Topic;
  legend: Legend;
  flags: readonly Flag[];
  dimmed: boolean;
  phraseHidden: boolean;
}
export type TopicNode = Node<TopicData, 'topic'>;
export type LinkEdge = Edge<LinkData, 'link'>;

export const CanvasTopic = memo(function CanvasTopic({
  data: { topic, legend, flags, dimmed, mayEdit, hidden },
  selected,
}: NodeProps<TopicNode>) {
  const { width, height } = topic;
  return (
    <div
      style={{ width, height, opacity: hidden ? 0 : dimmed ? 0.28 : 1 }}
      className="group relative"
      data-topic={topic.text}
    >
      {selected && <div className="pointer-events-none absolute -inset-[5px] border-2 border-action bg-action/10" />}
      <svg
        aria-hidden
        width={width}
        height={height}
        viewBox={`${-width / 2} ${-height / 2} ${width} ${height}`}
        className="block overflow-visible"
      >
        <TopicDrawing topic={topic} legend={legend} />
      </svg>
      <Balloons flags={flags} x={-7} y={-9} />
      <Handle type="target" position={Position.Top} isConnectable={false} className="!pointer-events-none !opacity-0" />
      <Handle
        type="source"
        position={Position.Bottom}
        isConnectable={mayEdit}
        className={`grip ${mayEdit ? '' : '!hidden'}`}
        aria-hidden
      />
    </div>
  );
});

function Balloons({ flags, x, y }: { flags: readonly Flag[]; x: number; y: number }) {
  if (flags.length === 0) return null;
  const shown = flags.length > 3 ? flags.slice(0, 2) : flags;
  return (
    <svg
      aria-hidden
      className="pointer-events-none absolute overflow-visible"
      style={{ left: x, top: y }}
      width="1"
      height="1"
    >
      <BalloonRow flags={shown} more={flags.length - shown.length} />
    </svg>
  );
}

function BalloonRow({ flags, more }: { flags: readonly Flag[]; more: number }) {
  // On a small map the rings keep their size on the screen: see MarkScale.
  return (
    <g style={{ transform: 'scale(var(--mark-scale, 1))' }}>
      {flags.map(({ number, status }, i) => (
        <g key={number} transform={`translate(${i * 19} 0)`}>
          <circle r="9" fill="#fff" stroke={STATUS_COLOURS[status]} strokeWidth="1.5" />
          <text textAnchor="middle" y="4" fontSize="11" fontFamily="var(--font-mono)" fill={STATUS_COLOURS[status]}>
            {number}
          </text>
        </g>
      ))}
      {more > 0 && (
        <text x={flags.length * 19 - 6} y="4" fontSize="11" fill="#4d5867">
          +{more}
        </text>
      )}
    </g>
  );
}

export const CanvasLink = memo(function CanvasLink({ data, selected }: EdgeProps<LinkEdge>) {
  if (!data) return null;
  const { link, from, to, legend, flags, dimmed, phraseHidden } = data;
  const { line, phrase } = drawLink(link, from, to, legend);
  const at = phrase ? { x: phrase.box.left - 8, y: phrase.box.top } : line[Math.floor(line.length / 2)] && middle(line);
  return (
    <g opacity={dimmed ? 0.22 : 1} data-link={`${from.text} → ${to.text}`}>
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
      <LinkDrawingView
        link={link}
        from={from}
        to={to}
        legend={legend}
        selected={selected ?? false}
        phraseHidden={phraseHidden}
      />
      {at && flags.length > 0 && (
        <g transform={`translate(${at.x} ${at.y})`} className="pointer-events-none">
          <BalloonRow flags={flags.slice(0, 3)} more={Math.max(0, flags.length - 3)} />
        </g>
      )}
    </g>
  );
});

const middle = (line: readonly { x: number; y: number }[]): { x: number; y: number } => {
  const [a, b] = [line[Math.floor((line.length - 1) / 2)]!, line[Math.ceil((line.length - 1) / 2)]!];
  return a === b ? a : { x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 };
};

/** Drawing order as core has it: by z, at one z links before topics. */
export const topicLayer = (topic: Topic, legend: Legend): number => Math.round(topicStyle(topic, legend).z * 2) + 1;
export const linkLayer = (link: Link, legend: Legend): number => Math.round(linkStyle(link, legend).z * 2);
