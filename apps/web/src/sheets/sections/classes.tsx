import { useState } from 'react';
import { announce } from '../../app/announcer';
import { api, ApiError, sentenceOfError } from '../../app/api';
import { dateIn, instantOf } from '../../app/dates';
import { refresh, useAssignment, useClasses, useTimeZone } from '../../app/queries';
import { Button } from '../../ui/button';
import { Trouble } from '../../ui/field';
import { Remark, Section } from '../section';
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
      <SharedWith assignmentId={detail.id} owner={owner} people={sharedWith} />
    </Section>
  );
}

function PublishForm({ classes }: { classes: { id: string; name: string }[] }) {
  const { detail, writing, starter, reference } = useSheetPage();
  const { missing, findings } = useWritten();
  const zone = useTimeZone();
  const [classId, setClassId] = useState(classes.length === 1 ? classes[0]!.id : '');
  const [date, setDate] = useState(dateIn(7, zone));
  const [time, setTime] = useState('18:00');
  const [again, setAgain] = useState(true);
  const [trouble, setTrouble] = useState('');
  const [busy, setBusy] = useState(false);
  const publish = async (): Promise<void> => {
    setTrouble('');
    const due = date === '' ? undefined : instantOf(date, time, zone);
    if (classId === '') return setTrouble('Choose a class.');
    if (due === null) return setTrouble('Choose a due date and a time, or clear the date for none.');
    setBusy(true);
    try {
      const isSaved = await writing.flush();
      if (!isSaved || [starter, reference].some(({ store }) => store.getState().state !== 'saved'))
        return setTrouble(
          'Not everything on this sheet is saved yet, so nothing was given out. Try again in a moment.',
        );
      await api.post(`assignments/${detail.id}/publications`, { classId, due, mayHandInAgain: again });
      announce('It is published.');
      setClassId('');
      await refresh();
    } catch (error) {
      const places = error instanceof ApiError ? (error.problem.problems ?? []) : [];
      setTrouble(
        [sentenceOfError(error), ...places.slice(0, 3).map(({ path, reason }) => `${path} ${reason}.`)].join(' '),
      );
    } finally {
      setBusy(false);
    }
  };
  return (
    <form
      noValidate
      className="card p-3"
      onSubmit={(event) => {
        event.preventDefault();
        void publish();
      }}
    >
      <Trouble>{trouble}</Trouble>
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
      <label className="mt-3 flex items-center gap-2">
        <input
          type="checkbox"
          className="accent-action"
          checked={again}
          onChange={(event) => setAgain(event.target.checked)}
        />
        Students may hand in again
        <span className="text-sm text-quiet">· times are in {zone}</span>
      </label>
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

/** A place in an assignment file, in a teacher's words. */
export function placeWords(path: string): string {
  const [, field = '', index] = /^\$\.(\w+)(?:\[(\d+)\])?/.exec(path) ?? [];
  const name = FIELDS[field] ?? path;
  return index === undefined ? name : `${name} ${Number(index) + 1}`;
}

const FIELDS: Readonly<Record<string, string>> = {
  title: 'The title',
  focusQuestion: 'The focus question',
  brief: 'The brief',
  language: 'The language',
  legend: 'The legend',
  terms: 'Term',
  starter: 'The starter map',
  reference: 'The reference map',
  requirements: 'Requirement',
  criteria: 'Criterion',
  marks: 'Marks',
};
