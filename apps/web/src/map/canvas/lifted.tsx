import { drawLink, drawMark } from '@ichnograph/core';
import type { Guide, Legend, Link, LoosePicture, Topic, TopicMap } from '@ichnograph/core';
import { memo, useEffect, useImperativeHandle, useMemo, useRef, useState } from 'react';
import type { RefObject } from 'react';
import { Shapes } from '../drawing/drawing';

interface Step {
  x: number;
  y: number;
}

/** What is in the hand: topics, the links between them, and those that lead to what stays. */
export interface Lift {
  topics: readonly Topic[];
  pictures: readonly LoosePicture[];
  between: readonly Link[];
  leading: readonly Link[];
}

/** @param carried as they were grasped: what another does to them meanwhile does not pull at them */
export function lift({ topics, links, pictures }: TopicMap, carried: readonly (Topic | LoosePicture)[]): Lift {
  const there = new Set([...topics, ...pictures].map(({ id }) => id));
  const isTopic = (one: Topic | LoosePicture): one is Topic => 'text' in one;
  const standing = carried.filter(({ id }) => there.has(id));
  const held = standing.filter(isTopic);
  const ids = new Set(held.map(({ id }) => id));
  const [between, leading]: [Link[], Link[]] = [[], []];
  for (const link of links) {
    const [from, to] = [ids.has(link.from), ids.has(link.to)];
    if (from && to) between.push(link);
    else if (from || to) leading.push(link);
  }
  return {
    topics: held,
    pictures: standing.filter((one): one is LoosePicture => !isTopic(one)),
    between,
    leading,
  };
}

export interface LiftedHandle {
  /** moves all of it, canvas units from where it was, and shows with what it is in line */
  to: (step: Step, guides: readonly Guide[]) => void;
}

/**
 * Draws what is in the hand over the map, while what stands there is hidden: a hand moves one layer and the few links that
 * lead out of it, whatever else is on the map.
 */
export function Lifted({
  lifted,
  map,
  legend,
  selection,
  handle,
}: {
  lifted: Lift;
  map: TopicMap;
  legend: Legend;
  selection: ReadonlySet<string>;
  handle: RefObject<LiftedHandle | null>;
}) {
  const layer = useRef<HTMLDivElement>(null);
  const [step, setStep] = useState<Step>({ x: 0, y: 0 });
  const [guides, setGuides] = useState<readonly Guide[]>([]);
  const inLine = useRef<readonly Guide[]>([]);
  const whole = useRef<HTMLElement[]>([]);
  const frame = useRef(0);
  const newest = useRef<Step>({ x: 0, y: 0 });
  useImperativeHandle(
    handle,
    () => ({
      to: (next, along) => {
        newest.current = next;
        inLine.current = along;
        // However often the hand tells where it is, once a frame is drawn.
        frame.current ||= requestAnimationFrame(() => {
          frame.current = 0;
          const { x, y } = newest.current;
          for (const part of [layer.current, ...whole.current])
            if (part) part.style.transform = `translate(${x}px, ${y}px)`;
          if (lifted.leading.length > 0) setStep(newest.current);
          setGuides((shown) => (shown.length === 0 && inLine.current.length === 0 ? shown : inLine.current));
        });
      },
    }),
    [lifted],
  );
  useEffect(() => () => cancelAnimationFrame(frame.current), []);
  // Where everything is in the hand, what is drawn already is moved as it is.
  const isAll = lifted.topics.length === map.topics.length && lifted.pictures.length === map.pictures.length;
  const hidden = useMemo(() => {
    const marks = [...lifted.topics, ...lifted.pictures, ...lifted.between, ...lifted.leading];
    const rings = marks.map(({ id }) => `.canvas [data-of="${CSS.escape(id)}"]`);
    return [...(isAll ? [] : marks.map(({ id }) => `.canvas [data-id="${CSS.escape(id)}"]`)), ...rings].join(',');
  }, [lifted, isAll]);
  useEffect(() => {
    const viewport = isAll ? layer.current?.closest('.react-flow__viewport') : null;
    whole.current = [
      ...(viewport?.querySelectorAll<HTMLElement>(':scope > :is(.react-flow__nodes, .react-flow__edges)') ?? []),
    ];
    return () => {
      for (const part of whole.current) part.style.transform = '';
    };
  }, [isAll]);
  const byId = useMemo(
    () => new Map([...map.topics, ...lifted.topics].map((topic) => [topic.id, topic])),
    [map, lifted],
  );
  const held = useMemo(() => new Set(lifted.topics.map(({ id }) => id)), [lifted]);
  const at = (id: string): Topic => {
    const topic = byId.get(id)!;
    return held.has(id) ? { ...topic, x: topic.x + step.x, y: topic.y + step.y } : topic;
  };
  return (
    <>
      <style>{`${hidden}{opacity:0}`}</style>
      <svg
        aria-hidden
        width="1"
        height="1"
        className="pointer-events-none absolute z-[996] overflow-visible will-change-transform"
      >
        {guides.map(({ along, at, from, to }) => (
          <path
            key={along}
            d={along === 'x' ? `M${at} ${from - 12}V${to + 12}` : `M${from - 12} ${at}H${to + 12}`}
            stroke="#1f6f63"
            strokeDasharray="3 3"
            fill="none"
          />
        ))}
        {lifted.leading.map((link) => (
          <LinkShapes key={link.id} link={link} from={at(link.from)} to={at(link.to)} legend={legend} />
        ))}
      </svg>
      <div ref={layer} className="pointer-events-none absolute z-[997] will-change-transform">
        {!isAll && <Held lifted={lifted} byId={byId} legend={legend} selection={selection} />}
      </div>
    </>
  );
}

function LinkShapes({ link, from, to, legend }: { link: Link; from: Topic; to: Topic; legend: Legend }) {
  if (drawLink(link, from, to, legend).line.length === 0) return null;
  const topicById = new Map([from, to].map((topic) => [topic.id, topic]));
  return <Shapes shapes={drawMark('links', link, { legend, topicById })?.shapes ?? []} />;
}

const Held = memo(function Held({
  lifted: { topics, pictures, between },
  byId,
  legend,
  selection,
}: {
  lifted: Lift;
  byId: ReadonlyMap<string, Topic>;
  legend: Legend;
  selection: ReadonlySet<string>;
}) {
  return (
    <svg aria-hidden width="1" height="1" className="absolute overflow-visible">
      {pictures.map((picture) => (
        <g key={picture.id} transform={`translate(${picture.x} ${picture.y})`}>
          <Shapes shapes={drawMark('pictures', picture, { legend, topicById: byId })?.shapes ?? []} />
        </g>
      ))}
      {between.map((link) => (
        <LinkShapes key={link.id} link={link} from={byId.get(link.from)!} to={byId.get(link.to)!} legend={legend} />
      ))}
      {topics.map((topic) => (
        <g key={topic.id} transform={`translate(${topic.x} ${topic.y})`}>
          {selection.has(topic.id) && (
            <rect
              x={-topic.width / 2 - 4}
              y={-topic.height / 2 - 4}
              width={topic.width + 8}
              height={topic.height + 8}
              fill="#1f6f63"
              fillOpacity="0.1"
              stroke="#1f6f63"
              strokeWidth="2"
            />
          )}
          <Shapes shapes={drawMark('topics', topic, { legend, topicById: byId })?.shapes ?? []} />
        </g>
      ))}
    </svg>
  );
});
