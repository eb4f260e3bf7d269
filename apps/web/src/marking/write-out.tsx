import type { ExportState } from '@ichnograph/contract';
import { Download } from 'lucide-react';
import { DropdownMenu } from 'radix-ui';
import { useEffect, useState } from 'react';
import { announce } from '../common/announcer';
import { api, SaidError, sentenceOfError } from '../common/api';
import { useSend } from '../common/send';
import { Button, buttonClass } from '../ui/button';
import { Trouble } from '../ui/field';

const LOOK_EVERY_MS = 600;

/** The papers of a class, as one archive or one document: begun, watched, cancelled, saved. */
export function WriteOut({ publicationId }: { publicationId: string }) {
  const { trouble, isSending, send, refuse } = useSend([]);
  const [job, setJob] = useState<ExportState | null>(null);
  const id = job?.state === 'running' ? job.id : null;
  useEffect(() => {
    if (id === null) return;
    const timer = setInterval(() => {
      api
        .get<ExportState>(`exports/${id}`)
        .then((next) => {
          setJob(next);
          if (next.state === 'ready') announce('The papers are ready to be saved.');
          if (next.state === 'failed')
            refuse(new SaidError('The papers could not be made. Nothing else is touched; try again.'));
        })
        .catch((error: unknown) => {
          setJob(null);
          refuse(new SaidError(`${sentenceOfError(error)} The papers are not being made any more; begin again.`));
        });
    }, LOOK_EVERY_MS);
    return () => clearInterval(timer);
  }, [id, refuse]);
  const begin = (as: 'zip' | 'pdf' | 'maps'): Promise<boolean> =>
    send(async () => setJob(await api.post<ExportState>(`publications/${publicationId}/exports`, { as })));
  const cancel = async (): Promise<void> => {
    if (!job) return;
    const done = await send(() => api.delete(`exports/${job.id}`), 'Cancelled. Nothing was written out.');
    if (done) setJob(null);
  };
  return (
    <>
      <Trouble>{trouble}</Trouble>
      {job?.state === 'running' ? (
        <span className="flex items-center gap-2" role="status">
          <progress max={job.of} value={job.done} className="h-2 w-28 accent-[#1f6f63]" aria-label="Papers made" />
          <span className="font-mono text-sm">
            {job.done} of {job.of}
          </span>
          <Button small disabled={isSending} onClick={() => void cancel()}>
            Cancel
          </Button>
        </span>
      ) : job?.state === 'ready' ? (
        <a
          className={buttonClass('action')}
          href={`/api/exports/${job.id}/file`}
          download
          onClick={() => setTimeout(() => setJob(null), LOOK_EVERY_MS)}
        >
          <Download aria-hidden size={15} /> Save the papers
        </a>
      ) : (
        <DropdownMenu.Root modal={false}>
          <DropdownMenu.Trigger className={buttonClass()}>Write out</DropdownMenu.Trigger>
          <DropdownMenu.Portal>
            <DropdownMenu.Content align="end" sideOffset={4} className="card z-50 min-w-64 p-1">
              {(
                [
                  ['zip', 'A paper each, in one ZIP archive'],
                  ['pdf', 'All papers in one PDF'],
                  ['maps', 'The maps as files, in one ZIP archive with a list'],
                ] as const
              ).map(([as, words]) => (
                <DropdownMenu.Item
                  key={as}
                  className="flex min-h-7 cursor-pointer items-center rounded-sm px-2.5 outline-none data-[highlighted]:bg-wash"
                  onSelect={() => void begin(as)}
                >
                  {words}
                </DropdownMenu.Item>
              ))}
            </DropdownMenu.Content>
          </DropdownMenu.Portal>
        </DropdownMenu.Root>
      )}
    </>
  );
}
