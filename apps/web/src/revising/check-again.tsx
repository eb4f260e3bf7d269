import { openStoredAssignment } from '@ichnograph/core';
import { useAhead, useAssignment } from '../common/queries';
import { useSend } from '../common/send';
import { WhatWouldChange } from './what-would-change';

/** Over a pile whose sheet asks for something else by now, to those who may change it: maps are checked again from here. */
export function CheckAgain({ assignmentId }: { assignmentId: string }) {
  const { data } = useAhead(assignmentId);
  return data?.ahead ? <Offer assignmentId={assignmentId} /> : null;
}

function Offer({ assignmentId }: { assignmentId: string }) {
  const { data } = useAssignment(assignmentId);
  const { trouble, isSending, send } = useSend('everything');
  if (!data) return null;
  return (
    <section aria-label="Check again" className="mb-4 border-y border-ochre bg-ochre-wash px-3 py-2">
      <WhatWouldChange
        say="The sheet asks for something else than what these maps were checked for."
        assignmentId={assignmentId}
        assignment={openStoredAssignment(data.file)}
        trying={{ trouble, busy: isSending, attempt: send }}
        onDone={() => undefined}
      />
    </section>
  );
}
