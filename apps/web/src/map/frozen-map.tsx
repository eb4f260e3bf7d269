import { readAssignment, readMap } from '@ichnograph/core';
import type { Assignment, Report, TopicMap } from '@ichnograph/core';
import type { CommentRow, SubmissionDetail } from '@ichnograph/contract';
import { useReactFlow } from '@xyflow/react';
import { useMemo, useRef } from 'react';
import type { KeyboardEvent, ReactNode } from 'react';
import { showDay } from '../app/dates';
import { useTimeZone } from '../app/queries';
import { Canvas } from './canvas';
import type { Padding } from './canvas';
import { concernOf, flagsOf } from './flags';
import { Margin, MARGIN_WIDTH } from './margin';
import { Reading } from './reading-line';
import { TitleBlock } from './title-block';
import { ViewControls } from './view-controls';

export interface Frozen { map: TopicMap; assignment: Assignment; report: Report }

/** A submission's map, drawn and read with the revision it was made under. */
export const useFrozen = ({ map, assignment, report }: SubmissionDetail): Frozen => useMemo(() => ({
  map: readMap(map), assignment: readAssignment(assignment), report: report as unknown as Report,
}), [map, assignment, report]);

const PADDING: Padding = { top: '28px', left: '28px', right: `${MARGIN_WIDTH + 34}px`, bottom: '112px' };

interface Props {
  detail: SubmissionDetail;
  frozen: Frozen;
  selection: readonly string[];
  onSelect: (ids: readonly string[]) => void;
  requirement: string | null;
  card: (comment: CommentRow) => ReactNode;
  foot?: ReactNode;
  onKey?: (event: KeyboardEvent) => void;
}

/** A map that was handed in, with balloons and margin: what markers and readers share. */
export function FrozenMap({ detail, frozen: { map, assignment, report }, selection, onSelect, requirement, card, foot, onKey }: Props) {
  const zone = useTimeZone();
  const host = useRef<HTMLDivElement>(null);
  const selected = useMemo(() => new Set(selection), [selection]);
  const flags = useMemo(() => flagsOf(report, map.topics.length, requirement), [report, map.topics.length, requirement]);
  const concern = useMemo(() => concernOf(report.results.find(({ id }) => id === requirement), map.links), [report, requirement, map.links]);
  return (
    <>
      <div className="relative min-h-0 flex-1">
        <Canvas label={`Map as handed in, ${map.topics.length} topics and ${map.links.length} links`} map={map} legend={assignment.legend} selection={selected} flags={flags} concern={concern} typing={null}
          padding={PADDING} onSelect={onSelect} fitKey={detail.id} hostRef={host} {...(onKey && { onKey })}>
          <Margin map={map} legend={assignment.legend} comments={detail.comments} card={card} foot={foot} />
          <ViewControls padding={PADDING} />
          <TitleBlock title={map.title} focusQuestion={map.focusQuestion} drawnBy={map.author} assignment={detail.className} state={`Handed in, no. ${detail.number}`} date={showDay(detail.handedInAt, zone).replace(/^\w+ /, '')} right={MARGIN_WIDTH + 26} folded />
        </Canvas>
      </div>
      <div role="region" aria-label="Reading line" className="flex min-h-[38px] items-center gap-3 border-t border-rule bg-paper px-3.5">
        <span className="shrink-0 text-quiet">Reads</span>
        {selection.length === 1 ? <Reading map={map} legend={assignment.legend} id={selection[0]!} /> : <span className="truncate text-quiet">Choose a link or a topic to read it out.</span>}
      </div>
    </>
  );
}

/** Brings topics and links into view. */
export function useGo(map: TopicMap, select: (ids: readonly string[]) => void): (ids: readonly string[]) => void {
  const flow = useReactFlow();
  return (ids) => {
    select(ids);
    const shown = new Set([...ids, ...map.links.filter(({ id }) => ids.includes(id)).flatMap(({ from, to }) => [from, to])]);
    void flow.fitView({ nodes: map.topics.filter(({ id }) => shown.has(id)), padding: { top: '80px', bottom: '120px', left: '80px', right: `${MARGIN_WIDTH + 60}px` }, maxZoom: Math.max(1, flow.getZoom()), duration: 200 });
  };
}
