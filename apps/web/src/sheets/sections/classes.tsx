import { useState } from 'react';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { api, SaidError } from '../../common/api';
import { dateIn, instantOf } from '../../common/dates';
import { useAssignment, useClasses, useTimeZone } from '../../common/queries';
import { Button } from '../../ui/button';
import { Confirm } from '../../ui/dialog';
import { Trouble } from '../../ui/field';
import { Remark } from '../../ui/remark';
import { Section } from '../section';
import { placeWords } from '../place-words';
import { useAttempt } from '../use-attempt';
import { useSheetPage, useWritten } from '../use-sheet';
import { PublicationRowView } from './publication-row';
import { SharedWith } from './shared-with';

/** Who has it, until when, and one class more. */
export function ClassesSection() {
  const { detail } = useSheetPage();
  // The sheet's own answer stays as it was when it was opened; who has the assignment may have changed since.
  const { publications, owner, sharedWith } = useAssignment(detail.id).data ?? detail;
  const classes = useClasses();
  const left = (classes.data ?? []).filter((one) => !publications.some(({ classId }) => classId === one.id));
  return (
    <Section id="classes" title="Who gets it, and until when?">
      {publications.length > 0 && (
        <ul className="mb-4 divide-y divide-rule border-y border-rule">
          {publications.map((one) => (
            <PublicationRowView key={one.id} publication={one} />
          ))}
        </ul>
      )}
      {left.length > 0 && <PublishForm classes={left} />}
      {classes.data?.length === 0 && <p className="text-quiet">You have no class yet. Make one under People.</p>}
      {classes.data && classes.data.length > 0 && left.length === 0 && (
        <p className="text-quiet">All of your classes have it.</p>
      )}
      <p className="mt-4 text-sm">
        <Link className="text-action underline" to={`/assignments/${detail.id}/guide`}>
          The guide for students, to print
        </Link>{' '}
        <span className="text-quiet">with a right and a wrong drawing of everything you ask for</span>
      </p>
      <SharedWith assignmentId={detail.id} owner={owner} people={sharedWith} />
    </Section>
  );
}

function PublishForm({ classes }: { classes: { id: string; name: string }[] }) {
  const { detail } = useSheetPage();
  const { missing, findings } = useWritten();
  const zone = useTimeZone();
  const [classId, setClassId] = useState(classes.length === 1 ? classes[0]!.id : '');
  const [date, setDate] = useState(dateIn(7, zone));
  const [time, setTime] = useState('18:00');
  const [again, setAgain] = useState(true);
  const [isLater, setLater] = useState(false);
  const [opens, setOpens] = useState({ date: dateIn(1, zone), time: '08:00' });
  const [showsExample, setShowsExample] = useState(true);
  const [showsReference, setShowsReference] = useState(false);
  const { trouble, refuse, busy, attempt } = useAttempt();
  const [asking, setAsking] = useState(false);
  const publish = async (): Promise<void> => {
    const due = date === '' ? undefined : instantOf(date, time, zone);
    const from = isLater ? instantOf(opens.date, opens.time, zone) : undefined;
    if (classId === '') return refuse(new SaidError('Choose a class.'));
    if (due === null) return refuse(new SaidError('Choose a due date and a time, or clear the date for none.'));
    if (from === null) return refuse(new SaidError('Choose a date and a time to open it.'));
    const wanted = { classId, due, opens: from, mayHandInAgain: again, showsExample, showsReference };
    const post = (): Promise<void> => api.post(`assignments/${detail.id}/publications`, wanted);
    if (await attempt(post, 'It is published.')) setClassId('');
  };
  return (
    <form
      noValidate
      className="card p-3"
      onSubmit={(event) => {
        event.preventDefault();
        if (findings.length > 0) setAsking(true);
        else void publish();
      }}
    >
      <Trouble>{trouble}</Trouble>
      <Confirm
        open={asking}
        title={
          findings.length === 1
            ? 'One thing cannot work as written'
            : `${findings.length} things cannot work as written`
        }
        yes="Publish all the same"
        no="Mend it first"
        onAnswer={(yes) => {
          setAsking(false);
          if (yes) void publish();
        }}
      >
        <ul className="list-disc pl-5">
          {findings.slice(0, 4).map(({ code, sentence }) => (
            <li key={code + sentence}>{sentence}</li>
          ))}
        </ul>
      </Confirm>
      <div className="flex flex-wrap items-end gap-3">
        <label>
          <span className="mb-1 block">Class</span>
          <select
            id="publish-class"
            className="field min-w-44"
            value={classId}
            onChange={(event) => setClassId(event.target.value)}
          >
            <option value="">Choose …</option>
            {classes.map((one) => (
              <option key={one.id} value={one.id}>
                {one.name}
              </option>
            ))}
          </select>
        </label>
        <label>
          <span className="mb-1 block">Due date</span>
          <input className="field" type="date" value={date} onChange={(event) => setDate(event.target.value)} />
        </label>
        <label>
          <span className="mb-1 block">Time</span>
          <input className="field" type="time" value={time} onChange={(event) => setTime(event.target.value)} />
        </label>
        <Button type="submit" look="action" disabled={busy || missing.length > 0}>
          Publish
        </Button>
      </div>
      <div className="mt-3 grid gap-1.5">
        <Tick on={again} onChange={setAgain}>
          Students may hand in again
        </Tick>
        <div className="flex flex-wrap items-center gap-2">
          <Tick on={isLater} onChange={setLater}>
            They see it later
          </Tick>
          {isLater && (
            <>
              <input
                aria-label="Opens on"
                className="field w-auto py-0.5"
                type="date"
                value={opens.date}
                onChange={({ target }) => setOpens({ ...opens, date: target.value })}
              />
              <input
                aria-label="Opens at"
                className="field w-auto py-0.5"
                type="time"
                value={opens.time}
                onChange={({ target }) => setOpens({ ...opens, time: target.value })}
              />
            </>
          )}
        </div>
        <Tick on={showsExample} onChange={setShowsExample}>
          Their guide has a finished example, on another subject
        </Tick>
        <Tick on={showsReference} onChange={setShowsReference}>
          They see the reference map once theirs is returned
        </Tick>
        <p className="text-sm text-quiet">Times are in {zone}.</p>
      </div>
      {missing.length > 0 && (
        <div className="mt-2">
          {missing.slice(0, 4).map(({ path, reason }) => (
            <Remark key={`${path} ${reason}`} grave>
              {placeWords(path)} {reason}.
            </Remark>
          ))}
        </div>
      )}
      {missing.length === 0 && findings.length > 0 && (
        <Remark>
          {findings.length === 1 ? 'One thing' : `${findings.length} things`} among the requirements cannot work as
          written. Each is said beside its sentence.
        </Remark>
      )}
    </form>
  );
}

function Tick({ on, onChange, children }: { on: boolean; onChange: (on: boolean) => void; children: ReactNode }) {
  return (
    <label className="flex items-center gap-2">
      <input
        type="checkbox"
        className="accent-action"
        checked={on}
        onChange={({ target }) => onChange(target.checked)}
      />
      {children}
    </label>
  );
}
