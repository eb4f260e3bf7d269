import { evidenceMarks } from '@ichnograph/core';
import type { Assignment, Report, TopicMap } from '@ichnograph/core';
import { useMemo } from 'react';
import type { ReactNode } from 'react';
import { EvidenceMarksView } from './evidence-marks-view';
import { concernOf, flagsOf } from './flags';
import type { Flags } from './flags';

interface Evidence {
  flags: Flags;
  concern: ReadonlySet<string> | null;
  /** drawn over the map while a requirement is chosen; null where the rings say it all */
  marks: ReactNode;
}

/** How a report shows on its map: rings for all of it, and for the chosen requirement what explains it. */
export function useEvidence(
  map: TopicMap,
  assignment: Assignment,
  report: Report | null,
  chosen: string | null,
): Evidence {
  const flags = useMemo(() => flagsOf(report, map.topics.length, chosen), [report, map.topics.length, chosen]);
  const result = report?.results.find(({ id }) => id === chosen);
  const requirement = assignment.requirements.find(({ id }) => id === chosen);
  const marks = useMemo(
    () => (result && requirement ? evidenceMarks(map, assignment, requirement, result) : []),
    [map, assignment, requirement, result],
  );
  // Where every topic is tinted, each has its part in what is said, and nothing is dimmed.
  const isTinted = marks.some(({ mark }) => mark === 'tint' || mark === 'paper');
  const concern = useMemo(() => (isTinted ? null : concernOf(result, map.links)), [isTinted, result, map.links]);
  return {
    flags,
    concern,
    marks:
      marks.length === 0 ? null : (
        <svg aria-hidden className="pointer-events-none absolute left-0 top-0 overflow-visible" width="1" height="1">
          <EvidenceMarksView marks={marks} />
        </svg>
      ),
  };
}
