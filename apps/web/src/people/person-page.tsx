import type { KeptOfPerson } from '@ichnograph/contract';
import { Download, UserX } from 'lucide-react';
import { useState } from 'react';
import { useNavigate, useParams } from 'react-router';
import { api } from '../common/api';
import { showMoment } from '../common/dates';
import { Page } from '../common/page';
import { useKept, useMe, useTimeZone } from '../common/queries';
import { useSend } from '../common/send';
import { Waiting } from '../common/waiting';
import { Button, buttonClass } from '../ui/button';
import { Confirm } from '../ui/dialog';
import { Trouble } from '../ui/field';

/** A person, for the administrator: what is kept of them, written out as a file, and erased on request. */
export function PersonPage() {
  const id = useParams().id!;
  const kept = useKept(id);
  if (kept.data === undefined) return <Waiting of={kept} what="Looking up what is kept …" />;
  return <Kept id={id} kept={kept.data} />;
}

function Kept({
  id,
  kept: { account, classes, works, submissions, comments, answers, assignments, readyMade, marksGiven },
}: {
  id: string;
  kept: KeptOfPerson;
}) {
  const me = useMe();
  const zone = useTimeZone();
  const navigate = useNavigate();
  const { trouble, send } = useSend('everything');
  const [erasing, setErasing] = useState(false);
  const name = `${account.givenName} ${account.familyName}`.trim();
  const erase = (): void =>
    void send(async () => {
      await api.post(`accounts/${id}/erase`);
      await navigate('/people');
    }, `${account.givenName} is erased.`);
  const [byThem, toThem] = ['by them', 'to them'].map(
    (way) => comments.filter(({ written }) => written === way).length,
  );
  return (
    <Page
      title={name}
      lead={`${account.role}, signs in as ${account.name}`}
      actions={
        <>
          <a className={buttonClass()} href={`/api/accounts/${id}/kept`} download>
            <Download aria-hidden size={14} />
            Write it all out
          </a>
          {id !== me.id && (
            <Button look="danger" onClick={() => setErasing(true)}>
              <UserX aria-hidden size={14} />
              Erase …
            </Button>
          )}
        </>
      }
    >
      <Trouble>{trouble}</Trouble>
      <p className="mb-6 max-w-[70ch] text-quiet">
        This is all that is kept of {account.givenName || 'this person'}. The file has the maps and the words
        themselves.
      </p>
      <div className="grid gap-8 md:grid-cols-2">
        <Part title="Account">
          <li>made {showMoment(account.createdAt, zone)}</li>
          <li>a password, as a hash that nobody can read</li>
        </Part>
        <Part title={`Classes · ${classes.length}`}>
          {classes.map((one) => (
            <li key={one.name}>
              {one.name}, {one.part}
            </li>
          ))}
        </Part>
        <Part title={`Maps · ${works.length}`}>
          {works.map(({ work, assignment, state, begunAt }) => {
            const handedIn = submissions.filter((one) => one.work === work);
            return (
              <li key={work}>
                {assignment}: {state}, begun {showMoment(begunAt, zone)}
                {handedIn.length > 0 && (
                  <span className="text-quiet">
                    {' '}
                    · handed in {handedIn.length === 1 ? 'once' : `${handedIn.length} times`}, last{' '}
                    {showMoment(handedIn.at(-1)!.handedInAt, zone)}
                  </span>
                )}
              </li>
            );
          })}
        </Part>
        <Part title="Words">
          <li>
            {count(byThem!, 'remark')} written, {count(toThem!, 'remark')} received
          </li>
          <li>{count(answers.length, 'answer')} to remarks</li>
          {marksGiven.length > 0 && <li>{count(marksGiven.length, 'mark')} given</li>}
        </Part>
        {account.role === 'teacher' && (
          <Part title={`Assignments · ${assignments.length}`}>
            {assignments.map(({ title }, i) => (
              <li key={i}>{title || 'without a title yet'}</li>
            ))}
            {readyMade.length > 0 && <li>{count(readyMade.length, 'ready-made assignment')} kept for the school</li>}
          </Part>
        )}
      </div>
      <Confirm
        open={erasing}
        danger
        title={`Erase ${name}?`}
        yes="Erase"
        no="Keep"
        onAnswer={(yes) => {
          setErasing(false);
          if (yes) erase();
        }}
      >
        <p>
          The name, the password and what was never handed in are gone for good. What was handed in stays, without the
          name. Write out what is kept first, if it was asked for.
        </p>
      </Confirm>
    </Page>
  );
}

const count = (n: number, what: string): string => `${n} ${what}${n === 1 ? '' : 's'}`;

function Part({ title, children }: { title: string; children: React.ReactNode }) {
  return (
    <section className="min-w-0">
      <h2 className="caption mb-2 border-b border-ink pb-1">{title}</h2>
      <ul className="words grid gap-1">{children}</ul>
    </section>
  );
}
