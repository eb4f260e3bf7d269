import { bearsWords, openStoredAssignment, openStoredMap, openStoredReport, personMarks } from '@ichnograph/core';
import type { Assignment, Report, TopicMap } from '@ichnograph/core';
import { spotOf } from '@ichnograph/contract';
import type { CommentRow, SubmissionDetail } from '@ichnograph/contract';
import { useMemo, useRef, useState } from 'react';
import type { ReactNode } from 'react';
import { showDay } from '../../common/dates';
import { useTimeZone } from '../../common/queries';
import { BorneCard } from './borne';
import { Canvas } from '../canvas/canvas';
import { onReadingKey } from '../canvas/canvas-walk';
import { ViewControls } from '../canvas/view-controls';
import { wornAloud } from '../canvas/worn-aloud';
import type { Spot } from '../canvas/gestures';
import { LostPictures } from '../drawing/lost-pictures-line';
import { Button } from '../../ui/button';
import { MakersCard } from '../makers/makers-card';
import { MakersOver } from '../makers/makers-drawn';
import { MapFoot } from './map-foot';
import { CommentList, Margin, useMarginWidth } from './margin';
import { Reading } from './reading-line';
import { useEvidence } from '../canvas/use-evidence';
import { FREE, useShow } from '../canvas/view';

export interface Frozen {
  map: TopicMap;
  assignment: Assignment;
  report: Report;
}

/** A submission's map, drawn and read with the revision it was made under. */
export const useFrozen = ({ map, assignment, report }: SubmissionDetail): Frozen =>
  useMemo(
    () => ({
      map: openStoredMap(map),
      assignment: openStoredAssignment(assignment),
      report: openStoredReport(report),
    }),
    [map, assignment, report],
  );

interface Props {
  detail: SubmissionDetail;
  comments: readonly CommentRow[];
  frozen: Frozen;
  selection: readonly string[];
  onSelect: (ids: readonly string[]) => void;
  spot: string | null;
  /** a place of the map, or of a paper on it, was double-clicked */
  onSpot: (at: Spot) => void;
  requirement: string | null;
  chosenComment: string | null;
  onChooseComment: (id: string | null) => void;
  card: (comment: CommentRow, letter: string) => ReactNode;
  /** drawn over the map, in its own units */
  drawnOver?: ReactNode;
  /** what stands beside the ways to look at it */
  atFoot?: ReactNode;
}

/** A map that was handed in, with balloons and margin: what markers and readers share. */
export function FrozenMap({
  detail,
  comments,
  frozen: { map, assignment, report },
  selection,
  onSelect,
  spot,
  onSpot,
  requirement,
  chosenComment,
  onChooseComment,
  card,
  drawnOver,
  atFoot,
}: Props) {
  const zone = useTimeZone();
  const margin = useMarginWidth(comments.length);
  const padding = useMemo(() => ({ ...FREE, right: FREE.right + margin }), [margin]);
  const host = useRef<HTMLDivElement>(null);
  const selected = useMemo(() => new Set(selection), [selection]);
  const { legend } = assignment;
  const people = useMemo(() => personMarks(detail.members), [detail.members]);
  const [makers, setMakers] = useState(false);
  const said = { map, legend, comments, chosen: chosenComment, onChoose: onChooseComment, card };
  const bearer = selection.length === 1 && map.topics.find((one) => one.id === selection[0] && bearsWords(one));
  const { flags, concern, marks } = useEvidence(map, assignment, report, requirement);
  return (
    <>
      <LostPictures />
      <div className="relative min-h-0 flex-1">
        <Canvas
          label={`Map as handed in, ${map.topics.length} topics and ${map.links.length} links. Arrow keys go from topic to topic.`}
          language={assignment.language}
          map={map}
          legend={assignment.legend}
          selection={selected}
          flags={flags}
          concern={concern}
          typing={null}
          overlay={
            <>
              {drawnOver}
              {marks}
              {makers && <MakersOver map={map} legend={legend} marks={people} />}
              <SpotMark at={spotOf(spot)} />
            </>
          }
          padding={padding}
          onSelect={onSelect}
          onSpot={onSpot}
          onRegion={(id) => onSelect([id])}
          onKey={(event) =>
            onReadingKey(event, map, assignment, selection, onSelect, (id) => wornAloud(id, flags, comments))
          }
          fitKey={detail.id}
          hostRef={host}
        >
          <Margin {...said} />
          {makers && (
            <MakersCard
              map={map}
              members={detail.members}
              marks={people}
              onChoose={onSelect}
              onClose={() => setMakers(false)}
            />
          )}
          {bearer && <BorneCard key={bearer.id} topic={bearer} isChosen />}
        </Canvas>
      </div>
      <CommentList {...said} />
      <MapFoot
        view={<ViewControls map={map} legend={assignment.legend} padding={padding} />}
        reading={
          selection.length === 1 ? (
            <Reading map={map} ruled={assignment} id={selection[0]!} />
          ) : (
            <span className="truncate text-quiet">Choose a link or a topic to read it out.</span>
          )
        }
        title={map.title}
        focusQuestion={map.focusQuestion}
        drawnBy={map.author}
        assignment={detail.className}
        state={`Handed in, no. ${detail.number}`}
        date={showDay(detail.handedInAt, zone).replace(/^\w+ /, '')}
      >
        {detail.members.length > 1 && (
          <Button small aria-pressed={makers} onClick={() => setMakers(!makers)}>
            Who made what
          </Button>
        )}
        {atFoot}
      </MapFoot>
    </>
  );
}

/** Where a remark is about to be pinned. */
function SpotMark({ at }: { at: Spot | null }) {
  if (!at) return null;
  return (
    <div
      aria-hidden
      data-testid="spot"
      className="pointer-events-none absolute h-4 w-4 -translate-x-1/2 -translate-y-1/2 rounded-full border-2 border-indigo"
      style={{ left: at.x, top: at.y }}
    />
  );
}

/** Chooses topics and links and brings them into view. */
export function useGo(
  { map, assignment }: Frozen,
  comments: number,
  select: (ids: readonly string[]) => void,
): (ids: readonly string[]) => void {
  const { showMarks } = useShow();
  const margin = useMarginWidth(comments);
  return (ids) => {
    select(ids);
    showMarks(map, assignment.legend, ids, {
      padding: { top: 90, bottom: 90, left: 90, right: margin + 90 },
      duration: 200,
    });
  };
}
