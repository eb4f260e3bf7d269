import { drawLink, pathData } from '@ichnograph/core';
import type { Legend, PersonMark, TopicMap } from '@ichnograph/core';

/** Between a topic and the line of who made it, canvas units. */
const AIR = 4;

/**
 * Who made what, over a map, in its own coordinates: round each topic and along each link the line of whoever made it, and their
 * initials at topics, and at links that somebody else made than the topic they lead to.
 */
export function MakersDrawn({
  map,
  legend,
  marks,
}: {
  map: TopicMap;
  legend: Legend;
  marks: ReadonlyMap<string, PersonMark>;
}) {
  const topics = new Map(map.topics.map((topic) => [topic.id, topic]));
  const markOf = (by: string | undefined): PersonMark | undefined => marks.get(by ?? '');
  return (
    <>
      {map.links.map((link) => {
        const [mark, from, to] = [markOf(link.by), topics.get(link.from), topics.get(link.to)];
        if (!mark || !from || !to) return null;
        const { line, phrase } = drawLink(link, from, to, legend);
        const at = phrase ? { x: phrase.box.left, y: phrase.box.top } : line[Math.floor(line.length / 2)];
        return (
          <g key={link.id} data-made={link.id} data-by={link.by}>
            <path
              d={pathData(line)}
              fill="none"
              stroke={mark.colour}
              strokeWidth="6"
              strokeOpacity="0.3"
              strokeDasharray={mark.dash.map((length) => length * 2).join(' ')}
            />
            {link.by !== to.by && at && <Initials {...at} mark={mark} />}
          </g>
        );
      })}
      {map.topics.map((topic) => {
        const mark = markOf(topic.by);
        if (!mark) return null;
        const [x, y] = [topic.x - topic.width / 2 - AIR, topic.y - topic.height / 2 - AIR];
        return (
          <g key={topic.id} data-made={topic.id} data-by={topic.by}>
            <rect
              x={x}
              y={y}
              width={topic.width + 2 * AIR}
              height={topic.height + 2 * AIR}
              rx="3"
              fill="none"
              stroke={mark.colour}
              strokeWidth="2.5"
              strokeDasharray={mark.dash.join(' ')}
            />
            <Initials x={x} y={y} mark={mark} />
          </g>
        );
      })}
    </>
  );
}

const LETTER = 8;
const HIGH = 15;

function Initials({ x, y, mark: { initials, colour } }: { x: number; y: number; mark: PersonMark }) {
  const width = [...initials].length * LETTER + 6;
  return (
    <g transform={`translate(${x} ${y - HIGH})`}>
      <rect width={width} height={HIGH} fill={colour} />
      <text
        x={width / 2}
        y="11.5"
        textAnchor="middle"
        fontSize="11.5"
        fontWeight="700"
        fill="#fff"
        className="font-mono"
      >
        {initials}
      </text>
    </g>
  );
}

/** The same over a canvas. */
export function MakersOver(props: Parameters<typeof MakersDrawn>[0]) {
  return (
    <svg
      aria-hidden
      className="pointer-events-none absolute left-0 top-0 z-[995] overflow-visible"
      width="1"
      height="1"
    >
      <MakersDrawn {...props} />
    </svg>
  );
}
