import { useState } from 'react';
import { Link } from 'react-router';
import type { AssignmentDetail } from '@ichnograph/contract';
import { announce } from '../app/announcer';
import { api, sentenceOfError } from '../app/api';
import { dateIn, instantOf, showMoment } from '../app/dates';
import { refresh, useClasses, useTimeZone } from '../app/queries';
import { Button } from '../ui/button';
import { Trouble } from '../ui/field';

/** The classes that have an assignment, and a form that gives it to one more. */
export function GiveToClass({ detail: { id, publications } }: { detail: AssignmentDetail }) {
  const zone = useTimeZone();
  const classes = useClasses();
  const left = (classes.data ?? []).filter((one) => !publications.some(({ classId }) => classId === one.id));
  return (
    <>
      {publications.length === 0 && <p className="mb-3 text-quiet">No class has it yet.</p>}
      <ul className="mb-4 grid gap-2">
        {publications.map((one) => (
          <li key={one.id} className="card words px-3 py-2">
            <Link className="font-semibold text-action underline" to={`/piles/${one.id}`}>
              {one.className}
            </Link>
            <br />
            <span className="text-sm text-quiet">{one.due ? `due ${showMoment(one.due, zone)}` : 'no due date'}</span>
          </li>
        ))}
      </ul>
      {left.length > 0 && <Form assignmentId={id} classes={left} />}
      {classes.data?.length === 0 && (
        <p className="text-quiet">You are in no class yet. Your administrator puts you into one.</p>
      )}
    </>
  );
}

function Form({ assignmentId, classes }: { assignmentId: string; classes: { id: string; name: string }[] }) {
  const zone = useTimeZone();
  const [classId, setClassId] = useState('');
  const [date, setDate] = useState(dateIn(7, zone));
  const [time, setTime] = useState('18:00');
  const [again, setAgain] = useState(true);
  const [trouble, setTrouble] = useState('');
  const give = async (): Promise<void> => {
    setTrouble('');
    const due = date === '' ? undefined : instantOf(date, time, zone);
    if (classId === '') return setTrouble('Choose a class.');
    if (due === null) return setTrouble('Choose a due date and a time, or clear the date for none.');
    try {
      await api.post(`assignments/${assignmentId}/publications`, { classId, due, mayHandInAgain: again });
      announce('The class has it now.');
      setClassId('');
      await refresh();
    } catch (error) {
      setTrouble(sentenceOfError(error));
    }
  };
  return (
    <form
      noValidate
      className="card p-3"
      onSubmit={(event) => {
        event.preventDefault();
        void give();
      }}
    >
      <h3 className="mb-2 font-semibold">Give it to a class</h3>
      <Trouble>{trouble}</Trouble>
      <label className="mb-3 block">
        <span className="mb-1 block">Class</span>
        <select className="field" value={classId} onChange={(event) => setClassId(event.target.value)}>
          <option value="">Choose …</option>
          {classes.map((one) => (
            <option key={one.id} value={one.id}>
              {one.name}
            </option>
          ))}
        </select>
      </label>
      <div className="mb-3 grid grid-cols-[1fr_6.5rem] gap-2">
        <label>
          <span className="mb-1 block">Due date</span>
          <input className="field" type="date" value={date} onChange={(event) => setDate(event.target.value)} />
        </label>
        <label>
          <span className="mb-1 block">Time</span>
          <input className="field" type="time" value={time} onChange={(event) => setTime(event.target.value)} />
        </label>
      </div>
      <p className="mb-3 text-sm text-quiet">In the school’s time zone, {zone}.</p>
      <label className="mb-3 flex items-start gap-2">
        <input
          type="checkbox"
          className="mt-1 accent-action"
          checked={again}
          onChange={(event) => setAgain(event.target.checked)}
        />
        <span>Students may hand in again</span>
      </label>
      <Button type="submit" look="action">
        Give it out
      </Button>
    </form>
  );
}
