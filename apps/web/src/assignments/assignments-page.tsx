import { useState } from 'react';
import { Link } from 'react-router';
import type { AssignmentRow } from '@ichnograph/contract';
import { MoreHorizontal } from 'lucide-react';
import { api } from '../common/api';
import { showDay, showMoment } from '../common/dates';
import { Page } from '../common/page';
import { useAssignments, useTimeZone } from '../common/queries';
import { useSend } from '../common/send';
import { Waiting } from '../common/waiting';
import { Button, buttonClass } from '../ui/button';
import { Dialog } from '../ui/dialog';
import { Trouble } from '../ui/field';
import { Menu, MenuItem } from '../ui/menu';
import { CopyButton, NewAssignment, ReadyMade } from './beginnings';
import { BringIn } from './bring-in';
import { Table } from '../ui/table';

export function AssignmentsPage() {
  const assignments = useAssignments();
  if (assignments.data === undefined) return <Waiting of={assignments} what="Opening your assignments …" />;
  const away = assignments.data.filter(({ archived }) => archived);
  return (
    <Page
      title="Assignments"
      lead="What you can give to a class."
      actions={
        <>
          <NewAssignment />
          <Link className={buttonClass()} to="/assignments/what-can-i-ask-for">
            What can I ask for?
          </Link>
        </>
      }
    >
      <div className="grid gap-6 lg:grid-cols-2">
        <ReadyMade />
        <BringIn />
      </div>
      {assignments.data.length === 0 ? (
        <p className="mt-8">None yet. Bring in an assignment file (.json) to begin.</p>
      ) : (
        <>
          <Rows rows={assignments.data.filter(({ archived }) => !archived)} />
          {away.length > 0 && (
            <details className="mt-6">
              <summary className="caption cursor-pointer">Put away · {away.length}</summary>
              <Rows rows={away} />
            </details>
          )}
        </>
      )}
    </Page>
  );
}

function Rows({ rows }: { rows: readonly AssignmentRow[] }) {
  const zone = useTimeZone();
  return (
    <div className="mt-8">
      <Table columns={['Assignment', 'Given to', 'Made on', { name: 'More', unseen: true }]}>
        {rows.map((row) => {
          const { id, title, focusQuestion, publications, begunAt, mayChange } = row;
          return (
            <tr key={id} className="border-b border-rule align-top">
              <td className="words py-2 pr-4">
                <Link
                  className="font-semibold text-action underline"
                  to={`/assignments/${id}${mayChange ? '/sheet' : ''}`}
                >
                  {title || 'Without a title yet'}
                </Link>
                <br />
                <span className="text-sm text-quiet">{focusQuestion}</span>
              </td>
              <td className="words py-2 pr-4">
                {publications.length === 0 ? (
                  <span className="text-quiet">nobody yet</span>
                ) : (
                  publications.map((one) => (
                    <div key={one.id}>
                      {one.className}
                      {one.due && <span className="text-quiet"> · due {showMoment(one.due, zone)}</span>}
                    </div>
                  ))
                )}
              </td>
              <td className="whitespace-nowrap py-2 text-quiet">{showDay(begunAt, zone)}</td>
              <td className="whitespace-nowrap py-1.5 text-right">
                <CopyButton id={id} title={title} />
                <a
                  className={buttonClass('quiet', true)}
                  href={`/api/assignments/${id}/file`}
                  download
                  aria-label={`Write out ${title} as a file`}
                >
                  Write out
                </a>
                <More row={row} />
              </td>
            </tr>
          );
        })}
      </Table>
    </div>
  );
}

/** What can be done with an assignment besides writing it. */
function More({ row: { id, title, mayChange, archived } }: { row: AssignmentRow }) {
  const { trouble, send } = useSend('everything');
  const [keeping, setKeeping] = useState(false);
  if (!mayChange) return null;
  return (
    <>
      <Menu
        trigger={
          <Button small look="quiet" aria-label={`More for ${title}`}>
            <MoreHorizontal aria-hidden size={15} />
          </Button>
        }
      >
        <MenuItem onSelect={() => setKeeping(true)}>Keep as ready-made …</MenuItem>
        <MenuItem
          onSelect={() =>
            void send(
              () => api.patch(`assignments/${id}`, { archived: !archived }),
              archived ? `${title} is back.` : `${title} is put away.`,
            )
          }
        >
          {archived ? 'Take it out again' : 'Put away'}
        </MenuItem>
      </Menu>
      {trouble && <Trouble>{trouble}</Trouble>}
      <KeepDialog open={keeping} onOpenChange={setKeeping} id={id} title={title} />
    </>
  );
}

function KeepDialog({
  open,
  onOpenChange,
  id,
  title,
}: {
  open: boolean;
  onOpenChange: (open: boolean) => void;
  id: string;
  title: string;
}) {
  const { trouble, send } = useSend('everything');
  const [guidance, setGuidance] = useState('');
  const keep = async (): Promise<void> => {
    const kept = await send(
      () => api.post('ready-made', { assignmentId: id, guidance: guidance.trim() }),
      `${title} is kept as ready-made.`,
    );
    if (kept) onOpenChange(false);
  };
  return (
    <Dialog
      open={open}
      onOpenChange={onOpenChange}
      title={`Keep “${title}” as ready-made`}
      description="Every teacher of the school can begin from it as it is now. What you change on the sheet later stays yours."
    >
      <form
        className="grid gap-3"
        onSubmit={(event) => {
          event.preventDefault();
          void keep();
        }}
      >
        <Trouble>{trouble}</Trouble>
        <label>
          <span className="mb-1 block font-semibold">What is it good for, and when?</span>
          <textarea
            className="field min-h-24"
            data-autofocus
            maxLength={2000}
            value={guidance}
            onChange={({ target }) => setGuidance(target.value)}
          />
        </label>
        <Button type="submit" look="action">
          Keep it
        </Button>
      </form>
    </Dialog>
  );
}
