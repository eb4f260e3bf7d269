import type { Assignment, TopicMap } from '@ichnograph/core';
import { useMemo } from 'react';
import type { ReactNode, RefObject } from 'react';
import { Canvas } from '../canvas/canvas';
import { onReadingKey } from '../canvas/canvas-walk';
import { ViewControls } from '../canvas/view-controls';
import { LostPictures } from '../drawing/lost-pictures-line';
import { MapFoot } from './map-foot';
import { Reading } from './reading-line';

interface Props {
  map: TopicMap;
  assignment: Assignment;
  /** what kind of map this is, for those who listen */
  what: string;
  className: string;
  state: string;
  selection: readonly string[];
  onSelect: (ids: readonly string[]) => void;
  fitKey: string;
  hostRef?: RefObject<HTMLDivElement | null>;
  /** drawn over the map, in its own units */
  overlay?: ReactNode;
  /** what lies over it, in the screen's */
  children?: ReactNode;
  /** what stands between the map and its foot */
  below?: ReactNode;
  /** what the reading line says while nothing is chosen */
  reading?: string;
}

const NO_FLAGS = new Map<string, never>();

/** A map that is read, with no report beside it: the canvas and its foot. */
export function ReadMap({
  map,
  assignment,
  what,
  className,
  state,
  selection,
  onSelect,
  fitKey,
  hostRef,
  overlay,
  children,
  below,
  reading = 'Choose a link or a topic to read it out.',
}: Props) {
  const selected = useMemo(() => new Set(selection), [selection]);
  const { legend } = assignment;
  return (
    <>
      <LostPictures />
      <div className="relative min-h-0 flex-1">
        <Canvas
          label={`${what}, ${map.topics.length} topics and ${map.links.length} links. Arrow keys go from topic to topic.`}
          language={assignment.language}
          map={map}
          legend={legend}
          selection={selected}
          flags={NO_FLAGS}
          concern={null}
          typing={null}
          overlay={overlay}
          onSelect={onSelect}
          onKey={(event) => onReadingKey(event, map, assignment, selection, onSelect, () => '')}
          fitKey={fitKey}
          {...(hostRef && { hostRef })}
        >
          {children}
        </Canvas>
      </div>
      {below}
      <MapFoot
        view={<ViewControls map={map} legend={legend} />}
        reading={
          selection.length === 1 ? (
            <Reading map={map} ruled={assignment} id={selection[0]!} />
          ) : (
            <span className="truncate text-quiet">{reading}</span>
          )
        }
        title={map.title}
        focusQuestion={map.focusQuestion}
        drawnBy={map.author}
        assignment={className}
        state={state}
        date=""
      />
    </>
  );
}
