import { READY_MADE } from '@ichnograph/core';
import { useId, useState } from 'react';
import { Link, useNavigate } from 'react-router';
import type { AssignmentDetail, SheetDetail } from '@ichnograph/contract';
import { alertAloud, announce } from '../app/announcer';
import { api, ApiError, sentenceOfError } from '../app/api';
import { showDay, showMoment } from '../app/dates';
import { Page } from '../app/page';
import { refresh, useAssignments, useTimeZone } from '../app/queries';
import { useAction } from '../app/use-action';
import { Waiting } from '../app/waiting';
import { Button, buttonClass } from '../ui/button';
import { Trouble } from '../ui/field';

export function AssignmentsPage() {
  const assignments = useAssignments();
  const zone = useTimeZone();
  if (assignments.data === undefined) return <Waiting of={assignments} what="Opening your assignments …" />;
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
            {assignments.data.map(({ id, title, focusQuestion, publications, begunAt, mayChange }) => (
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
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </Page>
  );
}

/** Complete assignments to begin from. */
function ReadyMade() {
  const navigate = useNavigate();
  const { trouble, act } = useAction();
  const [chosen, choose] = useState(READY_MADE[0]!.id);
  const begin = async (): Promise<void> => {
    const { id } = await api.post<SheetDetail>('assignments/sheets', { readyMade: chosen });
    await navigate(`/assignments/${id}/sheet`);
  };
  return (
    <section aria-labelledby="ready-made" className="border border-dashed border-[#8b9389] p-4">
      <h2 id="ready-made" className="font-semibold">
        Begin from a ready-made one
      </h2>
      <Trouble>{trouble}</Trouble>
      <select
        aria-label="Ready-made assignment"
        className="field mt-2"
        value={chosen}
        onChange={({ target }) => choose(target.value)}
      >
        {READY_MADE.map(({ id, title }) => (
          <option key={id} value={id}>
            {title}
          </option>
        ))}
      </select>
      <p className="mt-2 min-h-10 text-sm text-quiet">{READY_MADE.find(({ id }) => id === chosen)?.guidance}</p>
      <Button className="mt-2" onClick={() => void act(begin, 'A sheet is begun from it.')}>
        Begin with it
      </Button>
    </section>
  );
}

/** A copy of one’s own, for the next year. */
function CopyButton({ id, title }: { id: string; title: string }) {
  const navigate = useNavigate();
  const { trouble, act } = useAction();
  const copy = async (): Promise<void> => {
    const made = await api.post<SheetDetail>('assignments/sheets', { copyOf: id });
    await navigate(`/assignments/${made.id}/sheet`);
  };
  return (
    <>
      {trouble && <Trouble>{trouble}</Trouble>}
      <Button small look="quiet" aria-label={`Copy ${title}`} onClick={() => void act(copy, 'A copy is made.')}>
        Copy
      </Button>
    </>
  );
}

function NewAssignment() {
  const navigate = useNavigate();
  const { trouble, act } = useAction();
  const begin = async (): Promise<void> => {
    const { id } = await api.post<SheetDetail>('assignments/sheets', {});
    await navigate(`/assignments/${id}/sheet`);
  };
  return (
    <>
      {trouble && <Trouble>{trouble}</Trouble>}
      <Button look="action" onClick={() => void act(begin, 'A new sheet is begun.')}>
        New assignment
      </Button>
    </>
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
