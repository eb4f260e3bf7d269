import { boxOf, drawnBox, drawnMarks, evidenceMarks, unionOf } from '@ichnograph/core';
import type { Assignment, Requirement, Result, TopicMap } from '@ichnograph/core';
import { useMemo } from 'react';
import { STATUS_COLOURS } from '../../ui/balloon';
import { Shapes, Underlay } from './drawing';
import { EvidenceMarksView } from '../canvas/evidence-marks-view';

interface Props {
  map: TopicMap;
  assignment: Assignment;
  requirement: Requirement;
  result: Result;
  label: string;
  /** to be read, not only recognised */
  large?: boolean;
}

const AROUND = 20;

/** A small map with what a check found on it, as the canvas shows it while the requirement is chosen. */
export function CheckedMap({ map, assignment, requirement, result, label, large = false }: Props) {
  const { legend } = assignment;
  const drawings = useMemo(() => drawnMarks(map, legend), [map, legend]);
  const marks = useMemo(
    () => evidenceMarks(map, assignment, requirement, result),
    [map, assignment, requirement, result],
  );
  const flagged = new Set(
    result.evidence.filter(({ flag }) => flag !== false).flatMap(({ topics, links }) => [...topics, ...links]),
  );
  const drawn = drawnBox(map, legend);
  if (!drawn) return null;
  // A sheet of paper is larger than what lies on it.
  const box = unionOf([drawn, ...marks.flatMap((one) => (one.mark === 'paper' ? [one.box] : []))])!;
  // Two sentences stand under a link that is read both ways.
  const below = marks.some(({ mark }) => mark === 'turn') ? 2 * AROUND : AROUND;
  const [width, height] = [box.right - box.left + 2 * AROUND, box.bottom - box.top + AROUND + below];
  const ring = STATUS_COLOURS[result.status];
  return (
    <svg
      role="img"
      aria-label={label}
      viewBox={`${box.left - AROUND} ${box.top - AROUND} ${width} ${height}`}
      width={Math.min(large ? 900 : 400, width)}
      className={`max-w-full ${large ? 'max-h-[60vh]' : 'max-h-72'}`}
    >
      {drawings.map(({ list, id, drawing: { at, shapes } }) => (
        <g key={`${list} ${id}`} transform={`translate(${at.x} ${at.y})`}>
          {flagged.has(id) && <Underlay shapes={shapes} colour={ring} opacity={0.28} />}
          <Shapes shapes={shapes} />
        </g>
      ))}
      {map.topics
        .filter(({ id }) => flagged.has(id))
        .map((topic) => {
          const { left, top, right, bottom } = boxOf(topic, 5);
          return (
            <rect
              key={topic.id}
              x={left}
              y={top}
              width={right - left}
              height={bottom - top}
              fill="none"
              stroke={ring}
              strokeWidth="1.8"
              strokeDasharray="5 3"
            />
          );
        })}
      <EvidenceMarksView marks={marks} />
    </svg>
  );
}
