import { WhatWouldChange } from '../revising';
import { useAttempt } from './use-attempt';
import { useSheetPage, useWritten } from './use-sheet';

/** Stands over a sheet that says something else than the class has. */
export function NextRevision({ onDone }: { onDone: () => void }) {
  const { detail } = useSheetPage();
  const { assignment } = useWritten();
  return (
    <div className="sticky top-0 z-20 -mx-6 border-b border-ochre bg-ochre-wash px-6 py-2">
      <WhatWouldChange
        say="Your class works on an earlier revision. What you changed since is not theirs yet."
        assignmentId={detail.id}
        assignment={assignment}
        trying={useAttempt()}
        onDone={onDone}
      />
    </div>
  );
}
