import { readAssignment, readMap } from '@ichnograph/core';
import type { Assignment, Report, TopicMap } from '@ichnograph/core';
import type { CommentRow, SubmissionDetail } from '@ichnograph/contract';
import { useMemo, useRef } from 'react';
import type { KeyboardEvent, ReactNode } from 'react';
import { showDay } from '../app/dates';
import { useTimeZone } from '../app/queries';
import { Canvas } from './canvas';
import { Margin, MARGIN_WIDTH } from './margin';
import { Reading } from './reading-line';
import { TitleBlock } from './title-block';
import { useEvidence } from './use-evidence';
import { useShow } from './view';
import type { Padding } from './view';
import { ViewControls } from './view-controls';

export interface Frozen {
  map: TopicMap;
  assignment: Assignment;
  report: Report;
}

/** A submission's map, drawn and read with the revision it was made under. */
export const useFrozen = ({ map, assignment, report }: SubmissionDetail): Frozen =>
  useMemo(
    () => ({
      map: readMap(map),
      assignment: readAssignment(assignment),
      report: report as unknown as Report,
    }),
    [map, assignment, report],
  );

/** The margin takes room only where something stands in it. */
const paddingFor = (comments: number): Padding => ({
  top: 28,
  left: 28,
  right: comments > 0 ? MARGIN_WIDTH + 34 : 28,
  bottom: 112,
});

interface Props {
  detail: SubmissionDetail;
  frozen: Frozen;
  selection: readonly string[];
  onSelect: (ids: readonly string[]) => void;
  requirement: string | null;
  card: (comment: CommentRow) => ReactNode;
  onKey?: (event: KeyboardEvent) => void;
}

/** A map that was handed in, with balloons and margin: what markers and readers share. */
export function FrozenMap({
  detail,
  frozen: { map, assignment, report },
  selection,
  onSelect,
  requirement,
  card,
  onKey,
}: Props) {
  const zone = useTimeZone();
  const padding = paddingFor(detail.comments.length);
  const host = useRef<HTMLDivElement>(null);
  const selected = useMemo(() => new Set(selection), [selection]);
  const { flags, concern, marks } = useEvidence(map, assignment, report, requirement);
  return (
    <>
      <div className="relative min-h-0 flex-1">
        <Canvas
          label={`Map as handed in, ${map.topics.length} topics and ${map.links.length} links`}
          map={map}
          legend={assignment.legend}
          selection={selected}
          flags={flags}
          concern={concern}
          typing={null}
          overlay={marks}
          padding={padding}
          onSelect={onSelect}
          fitKey={detail.id}
          hostRef={host}
          {...(onKey && { onKey })}
        >
          <Margin map={map} legend={assignment.legend} comments={detail.comments} card={card} />
          <ViewControls map={map} legend={assignment.legend} padding={padding} />
          <TitleBlock
            title={map.title}
            focusQuestion={map.focusQuestion}
            drawnBy={map.author}
            assignment={detail.className}
            state={`Handed in, no. ${detail.number}`}
            date={showDay(detail.handedInAt, zone).replace(/^\w+ /, '')}
            right={detail.comments.length > 0 ? MARGIN_WIDTH + 26 : 14}
            folded
          />
        </Canvas>
      </div>
      <div
        role="region"
        aria-label="Reading line"
        className="flex min-h-[38px] items-center gap-3 border-t border-rule bg-paper px-3.5"
      >
        <span className="shrink-0 text-quiet">Reads</span>
        {selection.length === 1 ? (
          <Reading map={map} legend={assignment.legend} id={selection[0]!} />
        ) : (
          <span className="truncate text-quiet">Choose a link or a topic to read it out.</span>
        )}
      </div>
    </>
  );
}

/** Chooses topics and links and brings them into view. */
export function useGo(
  { map, assignment }: Frozen,
  select: (ids: readonly string[]) => void,
): (ids: readonly string[]) => void {
  const { showMarks } = useShow();
  return (ids) => {
    select(ids);
    showMarks(map, assignment.legend, ids, {
      padding: { top: 90, bottom: 150, left: 90, right: MARGIN_WIDTH + 60 },
      duration: 200,
    });
  };
}
