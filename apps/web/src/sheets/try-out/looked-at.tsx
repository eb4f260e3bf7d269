import { say } from '@ichnograph/core';
import type { Requirement } from '@ichnograph/core';
import { CheckedMap, MapPicture, Sentence } from '../../map';
import { StatusMark } from '../../ui/status-mark';
import { useWritten } from '../use-sheet';
import type { Tried } from './try-out-worker';

/** One cell of the grid: the map, with the evidence for one requirement. */
export function LookedAt({
  tried: { map, report },
  requirement,
}: {
  tried: Tried;
  requirement: Requirement | undefined;
}) {
  const { assignment } = useWritten();
  const result = report.results.find(({ id }) => id === requirement?.id);
  if (!requirement || !result) return <MapPicture map={map} legend={assignment.legend} title="The map" />;
  return (
    <div className="grid gap-3">
      <p className="words flex items-start gap-2">
        <span className="mt-1">
          <StatusMark status={result.status} />
        </span>
        <span>
          <Sentence of={requirement.id} assignment={assignment} />
          <br />
          <span className="text-quiet">{say(result.type, result)}</span>
        </span>
      </p>
      <div className="flex justify-center border border-rule bg-canvas p-2">
        <CheckedMap
          large
          map={map}
          assignment={assignment}
          requirement={requirement}
          result={result}
          label="The map, with what the check found"
        />
      </div>
      <ul className="words max-h-40 list-disc overflow-y-auto pl-5 text-sm">
        {[...new Set(result.evidence.map((piece) => say(result.type, piece)))].slice(0, 20).map((words) => (
          <li key={words}>{words}</li>
        ))}
      </ul>
    </div>
  );
}
