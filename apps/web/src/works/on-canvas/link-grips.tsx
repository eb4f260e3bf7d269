import { bendThrough, drawLink, linkStyle, markAt, pointAlong, shareAt } from '@ichnograph/core';
import type { Assignment, Point } from '@ichnograph/core';
import { useReactFlow } from '@xyflow/react';
import { useState } from 'react';
import type { PointerEvent } from 'react';
import { useEditor, useEditorState } from '../editor';

type Grip = 'from' | 'to' | 'bend' | 'words';
const SAYS: Record<Grip, string> = {
  from: 'Pull to let the link begin at another topic',
  to: 'Pull to let the link lead to another topic',
  bend: 'Pull to bend the link',
  words: 'Pull to slide the words along',
};

/** On the one selected link: its ends, to take them elsewhere; its middle, to bend it; its words, to slide them along. */
export function LinkGrips({ assignment }: { assignment: Assignment }) {
  const { actions, store } = useEditor();
  const { legend } = assignment;
  const flow = useReactFlow();
  const map = useEditorState((state) => state.map);
  const link = useEditorState(({ map: { links }, selection, typing }) =>
    selection.length === 1 && !typing ? links.find(({ id }) => id === selection[0]) : undefined,
  );
  const [pulled, setPulled] = useState<{ grip: Grip; at: Point } | null>(null);
  const [from, to] = [link?.from, link?.to].map((end) => map.topics.find(({ id }) => id === end));
  if (!link || !from || !to) return null;
  const { route } = linkStyle(link, legend);
  const bendAt = (at: Point): number => bendThrough(route, from, to, at);
  const { line, phrase } = drawLink(link, from, to, legend);
  const [start, end, middle] = [line[0] ?? from, line.at(-1) ?? to, pointAlong(line, 0.5) ?? from];
  const places: [Grip, Point][] = [
    ['from', start],
    ['to', end],
    ['bend', phrase ? { x: middle.x, y: phrase.box.bottom + 8 } : middle],
    ...(phrase ? [['words', { x: phrase.box.right + 8, y: phrase.centre.y }] as [Grip, Point]] : []),
  ];
  const spotOf = ({ clientX, clientY }: PointerEvent): Point => flow.screenToFlowPosition({ x: clientX, y: clientY });
  const drop = (grip: Grip, at: Point): void => {
    if (grip === 'bend') return actions.bend(link.id, { bend: bendAt(at) });
    if (grip === 'words') return actions.bend(link.id, { phraseAt: shareAt(line, at) });
    const target = markAt(store.getState().map, legend, 'topics', at);
    if (target !== undefined) actions.reattach(link.id, grip, target);
  };
  const target = pulled && (pulled.grip === 'from' || pulled.grip === 'to') ? pulled : null;
  const shown =
    pulled?.grip === 'bend'
      ? drawLink(
          {
            ...link,
            bend: Math.max(-1, Math.min(1, bendAt(pulled.at))),
            route: route === 'elbow' ? 'elbow' : 'curved',
          },
          from,
          to,
          legend,
        ).path
      : target
        ? `M${target.grip === 'from' ? end.x : start.x} ${target.grip === 'from' ? end.y : start.y}L${target.at.x} ${target.at.y}`
        : null;
  return (
    <>
      {shown && (
        <svg aria-hidden width="1" height="1" className="pointer-events-none absolute overflow-visible">
          <path d={shown} fill="none" stroke="#1f6f63" strokeWidth="2" strokeDasharray="5 4" />
        </svg>
      )}
      {places.map(([grip, place]) => {
        const at = pulled?.grip === grip ? pulled.at : place;
        return (
          <div
            key={grip}
            aria-hidden
            title={SAYS[grip]}
            data-grip={grip}
            className={`nodrag nopan pointer-events-auto absolute z-[999] h-3 w-3 border-[1.5px] border-action bg-white pointer-coarse:before:absolute pointer-coarse:before:-inset-4 pointer-coarse:before:content-[''] ${grip === 'bend' ? 'rotate-45 cursor-move' : grip === 'words' ? 'cursor-ew-resize' : 'cursor-crosshair rounded-full'}`}
            style={{ left: at.x - 6, top: at.y - 6 }}
            onPointerDown={(event) => {
              event.stopPropagation();
              event.currentTarget.setPointerCapture(event.pointerId);
              setPulled({ grip, at: spotOf(event) });
            }}
            onPointerMove={(event) => {
              if (pulled) setPulled({ grip, at: spotOf(event) });
            }}
            onPointerUp={(event) => {
              setPulled(null);
              if (pulled && Math.hypot(spotOf(event).x - place.x, spotOf(event).y - place.y) > 3)
                drop(grip, spotOf(event));
            }}
            onPointerCancel={() => setPulled(null)}
          />
        );
      })}
    </>
  );
}
