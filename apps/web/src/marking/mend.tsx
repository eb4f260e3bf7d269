import type { Edit, SmallestMend } from '@ichnograph/core';
import { useState } from 'react';
import { api } from '../common/api';
import { useSend } from '../common/send';
import { Button } from '../ui/button';
import { Trouble } from '../ui/field';

/** What an edit does, as one says it. */
function editWords(edit: Edit): string {
  switch (edit.do) {
    case 'link':
      return `Tie “${edit.from}” to “${edit.to}”${edit.phrase ? `: “${edit.phrase}”` : ', in words of their own'}.`;
    case 'unlink':
      return `Take the link from “${edit.from}” to “${edit.to}” away.`;
    case 'turn':
      return `Turn the link from “${edit.from}” to “${edit.to}” round.`;
    case 'say':
      return `Say how “${edit.from}” and “${edit.to}” belong together.`;
    case 'remove':
      return `Take “${edit.topic}” away.`;
    case 'as its kind':
      return `Draw “${edit.topic}” as its kind is drawn.`;
    case 'rename':
      return `Write “${edit.as}” in place of “${edit.topic}”.`;
    case 'recast':
      return `Make “${edit.topic}” a ${edit.kind}.`;
    case 'place':
      return `Place “${edit.term}”, under “${edit.under}” or where it belongs.`;
    case 'arrange':
      return 'Arrange what is flagged, as the map page offers it to students too.';
  }
}

/** The fewest edits that would meet a requirement, looked for when it is asked for. For the teacher's eyes. */
export function Mend({ submissionId, requirement }: { submissionId: string; requirement: string }) {
  const [found, setFound] = useState<{ mend: SmallestMend | null } | null>(null);
  const { trouble, isSending, send } = useSend([]);
  const look = (): Promise<boolean> =>
    send(async () =>
      setFound(
        await api.get<{ mend: SmallestMend | null }>(
          `submissions/${submissionId}/mend?requirement=${encodeURIComponent(requirement)}`,
        ),
      ),
    );
  if (isSending)
    return (
      <p role="status" className="text-sm text-quiet">
        Looking for the smallest mend …
      </p>
    );
  if (found === null)
    return (
      <>
        <Button small look="quiet" onClick={() => void look()}>
          Smallest mend
        </Button>
        <Trouble>{trouble}</Trouble>
      </>
    );
  if (!found.mend) return <p className="text-sm text-quiet">No short way to mend it was found.</p>;
  const { edits, fewest } = found.mend;
  return (
    <div className="mt-1 text-sm" data-testid="mend">
      <p className="text-quiet">
        {edits.length === 1 ? 'One edit would do' : `${edits.length} edits would do`}
        {fewest ? ', and fewer cannot:' : '; there may be a shorter way:'}
      </p>
      <ol className="list-decimal pl-5">
        {edits.map((edit, i) => (
          <li key={i} className="words">
            {editWords(edit)}
          </li>
        ))}
      </ol>
    </div>
  );
}
