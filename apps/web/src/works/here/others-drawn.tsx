import { drawLink, drawnBox, emptyMap, pathData } from '@ichnograph/core';
import type { Box, Legend, PersonMark, TopicMap } from '@ichnograph/core';
import type { OneHere } from '@ichnograph/contract';
import { useStore as useFlowStore } from '@xyflow/react';
import { useMemo } from 'react';
import { useStore } from 'zustand';
import type { WhoIsHere } from '../../live';
import { useEditorState } from '../editor';

/** Between what somebody holds and the line around it, canvas units. */
const AIR = 5;

/** What the others hold, where they point and into what they type, over the map, in its own coordinates. */
export function OthersDrawn({
  here,
  marks,
  legend,
}: {
  here: WhoIsHere;
  marks: ReadonlyMap<string, PersonMark>;
  legend: Legend;
}) {
  const others = useStore(here.store, (state) => state.others);
  const map = useEditorState((state) => state.map);
  // Signs keep their size on the screen, however far away the map is.
  const scale = useFlowStore(({ transform }) => 1 / transform[2]);
  if (others.length === 0) return null;
  return (
    <div aria-hidden className="pointer-events-none" data-testid="others">
      {others.map((one) => {
        const mark = marks.get(one.person.id);
        return mark && <Other key={one.key} one={one} mark={mark} map={map} legend={legend} scale={scale} />;
      })}
    </div>
  );
}

function Other({
  one: { at, holds, types, person },
  mark,
  map,
  legend,
  scale,
}: {
  one: OneHere;
  mark: PersonMark;
  map: TopicMap;
  legend: Legend;
  scale: number;
}) {
  const held = useMemo(() => heldIn(map, legend, types ? [types, ...holds] : holds), [map, legend, holds, types]);
  return (
    <>
      {held.map(({ id, box, path }) => (
        <svg
          key={id}
          className="absolute left-0 top-0 z-[996] overflow-visible"
          width="1"
          height="1"
          data-held={id}
          data-by={person.id}
        >
          {path ? (
            <path d={path} fill="none" stroke={mark.colour} strokeWidth="7" strokeOpacity="0.28" />
          ) : (
            <rect
              x={box.left - AIR}
              y={box.top - AIR}
              width={box.right - box.left + 2 * AIR}
              height={box.bottom - box.top + 2 * AIR}
              rx="3"
              fill="none"
              stroke={mark.colour}
              strokeWidth="2"
              strokeDasharray={mark.dash.join(' ')}
            />
          )}
        </svg>
      ))}
      {held.map(({ id, box }) => (
        <span
          key={id}
          className="absolute z-[999] origin-bottom-left whitespace-nowrap rounded-sm px-1 font-mono text-xs font-bold leading-4 text-white"
          style={{
            left: box.left - AIR,
            top: box.top - AIR,
            background: mark.colour,
            transform: `translateY(-100%) scale(${scale})`,
          }}
        >
          {mark.initials}
          {types === id && ' writes …'}
        </span>
      ))}
      {at && types === undefined && (
        <div
          className="absolute z-[1001] transition-transform duration-75 ease-linear motion-reduce:transition-none"
          style={{ transform: `translate(${at.x}px, ${at.y}px)` }}
          data-points={person.id}
        >
          <div className="origin-top-left" style={{ transform: `scale(${scale})` }}>
            {/* A sighting mark, as on a plan: a ring with cross hairs round the very place. */}
            <svg
              key={`${at.x} ${at.y}`}
              className="resting absolute -left-3 -top-3"
              width="24"
              height="24"
              viewBox="-12 -12 24 24"
            >
              <circle r="6.5" fill="none" stroke="#fff" strokeWidth="4.5" />
              <path d="M0 -11V-3.5M0 3.5V11M-11 0H-3.5M3.5 0H11" stroke="#fff" strokeWidth="4.5" />
              <circle r="6.5" fill="none" stroke={mark.colour} strokeWidth="2" />
              <path d="M0 -11V-3.5M0 3.5V11M-11 0H-3.5M3.5 0H11" stroke={mark.colour} strokeWidth="2" />
            </svg>
            <span
              className="absolute left-2.5 top-2 whitespace-nowrap rounded-sm px-1 font-mono text-xs font-bold leading-4 text-white"
              style={{ background: mark.colour }}
            >
              {mark.initials}
            </span>
          </div>
        </div>
      )}
    </>
  );
}

interface Held {
  id: string;
  /** where its sign stands: above its upper left corner */
  box: Box;
  /** of a link, the way it takes */
  path: string | null;
}

/** What of those ids is on the map, each once. */
function heldIn(map: TopicMap, legend: Legend, ids: readonly string[]): Held[] {
  return [...new Set(ids)].flatMap((id): Held[] => {
    const link = map.links.find((one) => one.id === id);
    if (link) {
      const [from, to] = [link.from, link.to].map((end) => map.topics.find((one) => one.id === end));
      if (!from || !to) return [];
      const { line, phrase } = drawLink(link, from, to, legend);
      const at = phrase?.box ?? pointBox(line[Math.floor(line.length / 2)]);
      return at ? [{ id, box: at, path: pathData(line) }] : [];
    }
    const alone = {
      ...emptyMap(),
      topics: map.topics.filter((one) => one.id === id),
      pictures: map.pictures.filter((one) => one.id === id),
    };
    const box = alone.topics.length + alone.pictures.length > 0 ? drawnBox(alone, legend) : null;
    return box ? [{ id, box, path: null }] : [];
  });
}

const pointBox = (point: { x: number; y: number } | undefined): Box | null =>
  point ? { left: point.x, right: point.x, top: point.y, bottom: point.y } : null;
