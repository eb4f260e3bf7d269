import { useId, useState } from 'react';
import { Link, useNavigate } from 'react-router';
import type { AssignmentDetail, AssignmentRow } from '@ichnograph/contract';
import { MoreHorizontal } from 'lucide-react';
import { alertAloud, announce } from '../app/announcer';
import { api, ApiError, sentenceOfError } from '../app/api';
import { showDay, showMoment } from '../app/dates';
import { Page } from '../app/page';
import { refresh, useAssignments, useTimeZone } from '../app/queries';
import { useAction } from '../app/use-action';
import { Waiting } from '../app/waiting';
import { Button, buttonClass } from '../ui/button';
import { Dialog } from '../ui/dialog';
import { Trouble } from '../ui/field';
import { Menu, MenuItem } from '../ui/menu';
import { CopyButton, NewAssignment, ReadyMade } from './beginnings';

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
    <table className="mt-8 w-full text-left">
      <thead>
        <tr className="caption border-b border-ink">
          <th className="py-1">Assignment</th>
          <th>Given to</th>
          <th>Begun</th>
          <th>
            <span className="sr-only">More</span>
          </th>
        </tr>
      </thead>
      <tbody>
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
      </tbody>
    </table>
  );
}

/** What can be done with an assignment besides writing it. */
function More({ row: { id, title, mayChange, archived } }: { row: AssignmentRow }) {
  const { trouble, act } = useAction();
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
            void act(
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
  const { trouble, act } = useAction();
  const [guidance, setGuidance] = useState('');
  const keep = async (): Promise<void> => {
    const kept = await act(
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

function BringIn() {
  const id = useId();
  const navigate = useNavigate();
  const [trouble, setTrouble] = useState<{ words: string; places: { path: string; reason: string }[] } | null>(null);
  const [reading, setReading] = useState(false);
  const refuse = (words: string, places: { path: string; reason: string }[] = []): void => {
    setTrouble({ words, places });
    alertAloud(words);
  };
  const bringIn = async (file: File): Promise<void> => {
    setTrouble(null);
    setReading(true);
    try {
      const made = await api.post<AssignmentDetail>('assignments', {
        file: JSON.parse((await file.text()).replace(/^\ufeff/, '')) as unknown,
      });
      await refresh();
      announce(`${made.title} is brought in.`);
      await navigate(`/assignments/${made.id}/sheet`);
    } catch (error) {
      if (error instanceof SyntaxError)
        refuse(`“${file.name}” was not taken: it is not JSON, or the file was cut short.`);
      else refuse(sentenceOfError(error), error instanceof ApiError ? error.problem.problems : []);
    } finally {
      setReading(false);
    }
  };
  return (
    <section aria-labelledby={`${id}-title`} className="border border-dashed border-[#8b9389] p-4">
      <h2 id={`${id}-title`} className="font-semibold">
        Bring in an assignment file
      </h2>
      <p className="mt-1 text-quiet">
        Brief, legend, terms, starter map and requirements travel in one file. A file that breaks a rule is refused with
        the place and the reason; nothing of it is taken half.
      </p>
      <label
        className={`mt-3 ${buttonClass()} focus-within:outline-2 focus-within:outline-offset-2 focus-within:outline-action`}
      >
        {reading ? 'Reading …' : 'Choose a file'}
        <input
          type="file"
          accept=".json,application/json"
          className="sr-only"
          disabled={reading}
          onChange={(event) => {
            const [file] = event.target.files ?? [];
            event.target.value = '';
            if (file) void bringIn(file);
          }}
        />
      </label>
      {trouble && (
        <div className="words mt-4 border-l-4 border-madder bg-madder-wash px-3 py-2">
          <p>{trouble.words}</p>
          {trouble.places.length > 1 && (
            <ul className="mt-2 list-disc pl-5">
              {trouble.places.map(({ path, reason }, i) => (
                <li key={i}>
                  <code className="font-mono text-sm">{path}</code> {reason}
                </li>
              ))}
            </ul>
          )}
        </div>
      )}
    </section>
  );
}
