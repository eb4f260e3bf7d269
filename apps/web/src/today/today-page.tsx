import { useState } from 'react';
import { Link, Navigate, useNavigate } from 'react-router';
import type { StudentTask, TeacherTask, WorkDetail } from '@ichnograph/contract';
import { api } from '../common/api';
import { showAge, showMoment } from '../common/dates';
import { Page } from '../common/page';
import { useMe, useStudentTasks, useTeacherTasks, useTimeZone } from '../common/queries';
import { useSend } from '../common/send';
import { Waiting } from '../common/waiting';
import { AskClass, CodeOnTheBoard, OpenQuestions } from '../gatherings';
import { ReviewTasks } from '../reviews';
import { ShownNow } from '../showings';
import { Button, buttonClass } from '../ui/button';
import { Trouble } from '../ui/field';
import { TasksOnMaps } from './tasks-on-maps';
import { STATE_FOR_STUDENT, STATES_FOR_TEACHER } from './state-words';

export function TodayPage() {
  const { role } = useMe();
  if (role === 'student') return <StudentToday />;
  return role === 'teacher' ? <TeacherToday /> : <Navigate to="/people" replace />;
}

function StudentToday() {
  const tasks = useStudentTasks();
  const me = useMe();
  if (tasks.data === undefined) return <Waiting of={tasks} what="Looking what is due …" />;
  const came = tasks.data.filter(({ returnedAt, state }) => returnedAt !== null && state === 'returned');
  const others = tasks.data.filter((task) => !came.includes(task));
  return (
    <Page title={`Today, ${me.givenName}`} lead="What came back to you, and what is due.">
      {tasks.data.length === 0 && <p>Nothing is set for you yet. What your teacher sets will stand here.</p>}
      <ShownNow />
      <OpenQuestions />
      {came.length > 0 && <TaskList title="Came back to you" tasks={came} />}
      <ReviewTasks />
      <TasksOnMaps />
      {others.length > 0 && <TaskList title="Due" tasks={others} />}
      <CodeOnTheBoard />
      <JoinClassForm />
    </Page>
  );
}

/** The word that lets one into a class. */
function JoinClassForm() {
  const { trouble, send } = useSend('everything');
  const [code, setCode] = useState('');
  return (
    <form
      noValidate
      className="mt-8 border-t border-rule pt-4"
      onSubmit={(event) => {
        event.preventDefault();
        void send(() => api.post('classes/join', { code }), 'You are in the class now.').then((done) => {
          if (done) setCode('');
        });
      }}
    >
      <Trouble>{trouble}</Trouble>
      <label className="flex flex-wrap items-center gap-2">
        <span className="text-quiet">Has your teacher given you a join code?</span>
        <input
          className="field w-36 font-mono"
          value={code}
          maxLength={40}
          autoCapitalize="characters"
          placeholder="ABCD-EFGH"
          aria-label="Join code"
          onChange={({ target }) => setCode(target.value)}
        />
        <Button type="submit" disabled={code.trim() === ''}>
          Join the class
        </Button>
      </label>
    </form>
  );
}

function TaskList({ title, tasks }: { title: string; tasks: StudentTask[] }) {
  return (
    <section className="mb-8" aria-label={title}>
      <h2 className="caption mb-2">{title}</h2>
      <ul className="grid gap-3">
        {tasks.map((task) => (
          <StudentCard key={task.publicationId} task={task} />
        ))}
      </ul>
    </section>
  );
}

function StudentCard({ task }: { task: StudentTask }) {
  const zone = useTimeZone();
  const overdue = task.due !== null && new Date(task.due) < new Date() && task.handedIn === null;
  return (
    <li className="card flex flex-wrap items-center justify-between gap-4 p-4">
      <div className="min-w-0 flex-1">
        <p className="text-sm text-quiet">{task.className}</p>
        <h3 className="words text-lg font-semibold">{task.title}</h3>
        <p className="words">{task.focusQuestion}</p>
        <p className="mt-2 flex flex-wrap gap-x-4 text-sm">
          <span className="font-semibold">{STATE_FOR_STUDENT[task.state]}</span>
          {task.due && (
            <span className={overdue ? 'font-semibold text-madder' : 'text-quiet'}>
              {overdue ? 'was due' : 'due'} {showMoment(task.due, zone)}
            </span>
          )}
          {task.handedIn && (
            <span className="text-quiet">
              handed in {showMoment(task.handedIn, zone)}
              {task.late && ', late'}
            </span>
          )}
          {task.changedSince && (
            <span className="font-semibold text-ochre">changed since: hand it in again to let that count</span>
          )}
          {task.unread > 0 && task.workId && (
            <Link className="font-semibold text-indigo underline" to={`/works/${task.workId}`}>
              {task.unread} new {task.unread === 1 ? 'comment' : 'comments'} on the map
            </Link>
          )}
          {task.remarks > 0 && (
            <span className="text-quiet">
              {task.remarks} {task.remarks === 1 ? 'comment' : 'comments'}
            </span>
          )}
        </p>
      </div>
      <div className="flex flex-wrap gap-2">
        <StudentActions task={task} />
      </div>
    </li>
  );
}

function StudentActions({ task: { publicationId, workId, state, submissionId, returnedAt } }: { task: StudentTask }) {
  const navigate = useNavigate();
  const { trouble, isSending, send } = useSend('everything');
  const begin = async (): Promise<void> => {
    let work: WorkDetail | undefined;
    const post = async (): Promise<void> => void (work = await api.post(`publications/${publicationId}/work`));
    if ((await send(post)) && work) await navigate(`/works/${work.id}`);
  };
  if (state === 'not begun')
    return (
      <>
        <Trouble>{trouble}</Trouble>
        <Button look="action" disabled={isSending} onClick={() => void begin()}>
          Begin the map
        </Button>
      </>
    );
  if (state === 'returned')
    return (
      <Link className={buttonClass('action')} to={`/feedback/${submissionId}`}>
        Read the comments
      </Link>
    );
  return (
    <>
      {returnedAt !== null && (
        <Link className={buttonClass()} to={`/feedback/${submissionId}`}>
          Comments
        </Link>
      )}
      {state !== 'in progress' && returnedAt === null && (
        <Link className={buttonClass()} to={`/receipts/${submissionId}`}>
          Receipt
        </Link>
      )}
      <Link className={buttonClass(state === 'in progress' ? 'action' : 'plain')} to={`/works/${workId}`}>
        {state === 'being marked' ? 'Look at the map' : 'Go on with the map'}
      </Link>
    </>
  );
}

function TeacherToday() {
  const tasks = useTeacherTasks();
  const me = useMe();
  if (tasks.data === undefined) return <Waiting of={tasks} what="Looking what waits …" />;
  const waiting = tasks.data
    .filter(({ oldestWaiting }) => oldestWaiting !== null)
    .sort((a, b) => a.oldestWaiting!.localeCompare(b.oldestWaiting!));
  const others = tasks.data.filter(({ oldestWaiting }) => oldestWaiting === null);
  return (
    <Page
      title={`Today, ${me.givenName}`}
      lead="What waits to be marked, and how each class stands."
      actions={
        <>
          <AskClass />
          <Link className={buttonClass()} to="/assignments">
            Set an assignment
          </Link>
        </>
      }
    >
      {tasks.data.length === 0 && (
        <p>
          No class of yours has an assignment yet.{' '}
          <Link className="text-action underline" to="/assignments">
            Bring one in
          </Link>
          , then give it to a class.
        </p>
      )}
      <ShownNow />
      {waiting.length > 0 && <TeacherList title="Waits to be marked" tasks={waiting} />}
      <OpenQuestions />
      {others.length > 0 && <TeacherList title="Under way" tasks={others} />}
    </Page>
  );
}

function TeacherList({ title, tasks }: { title: string; tasks: TeacherTask[] }) {
  const zone = useTimeZone();
  return (
    <section className="mb-8" aria-label={title}>
      <h2 className="caption mb-2">{title}</h2>
      <ul className="grid gap-3">
        {tasks.map((task, i) => (
          <li key={task.publicationId} className="card flex flex-wrap items-center justify-between gap-4 p-4">
            <div className="min-w-0 flex-1">
              <p className="text-sm text-quiet">
                {task.className}
                {task.due && ` · due ${showMoment(task.due, zone)}`}
              </p>
              <h3 className="words text-lg font-semibold">{task.title}</h3>
              <dl className="mt-2 flex flex-wrap gap-x-5 gap-y-1">
                {STATES_FOR_TEACHER.filter((state) => task.counts[state] > 0).map((state) => (
                  <div key={state} className="flex items-baseline gap-1.5">
                    <dt className="order-2 text-sm text-quiet">{state}</dt>
                    <dd className="font-mono font-semibold">{task.counts[state]}</dd>
                  </div>
                ))}
              </dl>
              {task.unread > 0 && (
                <p className="mt-1 text-sm font-semibold text-indigo">
                  {task.unread} new {task.unread === 1 ? 'comment' : 'comments'} on maps that are drawn.
                </p>
              )}
              {task.oldestWaiting && (
                <p className="mt-1 text-sm text-quiet">The oldest was handed in {showAge(task.oldestWaiting)}.</p>
              )}
            </div>
            <Link
              className={buttonClass(task.oldestWaiting && i === 0 ? 'action' : 'plain')}
              to={`/piles/${task.publicationId}`}
              aria-label={`${task.oldestWaiting ? 'Open the pile' : 'See the class'}: ${task.title}, ${task.className}`}
            >
              {task.oldestWaiting ? 'Open the pile' : 'See the class'}
            </Link>
          </li>
        ))}
      </ul>
    </section>
  );
}
