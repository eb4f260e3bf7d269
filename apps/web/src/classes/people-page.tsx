import { NewAccount, NewClass, PARTS } from '@ichnograph/contract';
import type { ClassRow, Part } from '@ichnograph/contract';
import { useState } from 'react';
import { api } from '../app/api';
import { Page } from '../app/page';
import { useAccounts, useClasses, useMe, useRoster } from '../app/queries';
import { Waiting } from '../app/waiting';
import { useAction } from '../app/use-action';
import { useFields } from '../app/use-fields';
import { Button } from '../ui/button';
import { Field, Trouble } from '../ui/field';

/** Classes and who is in them. The administrator makes both; a teacher reads the rosters of their own. */
export function PeoplePage() {
  const me = useMe();
  const classes = useClasses();
  const [chosen, setChosen] = useState<string | null>(null);
  if (classes.data === undefined) return <Waiting of={classes} what="Opening the classes …" />;
  const isAdministrator = me.role === 'administrator';
  const current = classes.data.find(({ id }) => id === chosen) ?? classes.data[0];
  return (
    <Page
      title="People"
      lead={
        isAdministrator ? 'Make accounts and classes, and say who is in which.' : 'Your classes and who is in them.'
      }
    >
      <div className="grid gap-8 md:grid-cols-[16rem_1fr]">
        <section aria-labelledby="classes">
          <h2 id="classes" className="caption mb-2">
            Classes
          </h2>
          {classes.data.length === 0 && (
            <p className="mb-3 text-quiet">No classes yet.{isAdministrator && ' Make the first one below.'}</p>
          )}
          <ul className="mb-6 grid gap-1">
            {classes.data.map((one) => (
              <li key={one.id}>
                <button
                  type="button"
                  aria-current={one.id === current?.id || undefined}
                  onClick={() => setChosen(one.id)}
                  className={`flex w-full justify-between gap-3 rounded-sm border px-3 py-1.5 text-left ${one.id === current?.id ? 'border-action bg-wash font-semibold' : 'border-rule bg-white hover:bg-canvas'}`}
                >
                  <span className="words min-w-0">{one.name}</span>
                  <span className="font-mono text-sm text-quiet">{one.students}</span>
                </button>
              </li>
            ))}
          </ul>
          {isAdministrator && (
            <>
              <ClassForm />
              <AccountForm />
            </>
          )}
        </section>
        {current && <Roster of={current} isAdministrator={isAdministrator} />}
      </div>
    </Page>
  );
}

function ClassForm() {
  const { trouble, act } = useAction();
  const make = async (wanted: NewClass): Promise<void> => {
    if (await act(() => api.post('classes', wanted), `The class ${wanted.name} is made.`)) reset();
  };
  const { form, field, reset } = useFields(NewClass, { name: '' }, make);
  return (
    <form className="mb-6 border-t border-rule pt-4" {...form}>
      <Trouble>{trouble}</Trouble>
      <Field label="New class" {...field('name')} />
      <Button type="submit">Make the class</Button>
    </form>
  );
}

const NOBODY = { role: 'student', givenName: '', familyName: '', name: '', password: '' } as const;

function AccountForm() {
  const { trouble, act } = useAction();
  const make = async (wanted: NewAccount): Promise<void> => {
    if (await act(() => api.post('accounts', wanted), `${wanted.givenName} ${wanted.familyName} can sign in.`)) reset();
  };
  const { form, field, register, reset } = useFields(NewAccount, NOBODY, make);
  return (
    <form className="border-t border-rule pt-4" {...form}>
      <h3 className="mb-3 font-semibold">New account</h3>
      <Trouble>{trouble}</Trouble>
      <Field label="Given name" {...field('givenName')} />
      <Field label="Family name" {...field('familyName')} />
      <Field label="Sign-in name" autoCapitalize="none" {...field('name')} />
      <Field label="First password" autoComplete="off" {...field('password')} />
      <label className="mb-4 block">
        <span className="mb-1 block font-semibold">Role</span>
        <select className="field" {...register('role')}>
          <option value="student">Student</option>
          <option value="teacher">Teacher</option>
          <option value="administrator">Administrator</option>
        </select>
      </label>
      <Button type="submit">Make the account</Button>
    </form>
  );
}

function Roster({ of, isAdministrator }: { of: ClassRow; isAdministrator: boolean }) {
  const me = useMe();
  const mayRead = me.role !== 'student';
  const roster = useRoster(mayRead ? of.id : null);
  const { trouble, act } = useAction();
  return (
    <section aria-labelledby="roster" className="min-w-0">
      <h2 id="roster" className="words mb-3 text-lg font-semibold">
        {of.name}
      </h2>
      <Trouble>{trouble}</Trouble>
      {isAdministrator && <Enrol classId={of.id} />}
      <table className="w-full text-left">
        <thead>
          <tr className="caption border-b border-ink">
            <th className="py-1">Name</th>
            <th>Signs in as</th>
            <th>Part</th>
            {isAdministrator && (
              <th>
                <span className="sr-only">Action</span>
              </th>
            )}
          </tr>
        </thead>
        <tbody>
          {(roster.data ?? []).map(({ id, givenName, familyName, name, part }) => (
            <tr key={id} className="border-b border-rule">
              <td className="words py-1.5 pr-3">
                {givenName} {familyName}
              </td>
              <td className="words pr-3 font-mono text-sm">{name}</td>
              <td className="pr-3">{part}</td>
              {isAdministrator && (
                <td className="text-right">
                  <Button
                    small
                    look="quiet"
                    aria-label={`Take ${givenName} ${familyName} out`}
                    onClick={() =>
                      void act(
                        () => api.delete(`classes/${of.id}/people/${id}`),
                        `${givenName} ${familyName} left ${of.name}.`,
                      )
                    }
                  >
                    Take out
                  </Button>
                </td>
              )}
            </tr>
          ))}
        </tbody>
      </table>
      {roster.data?.length === 0 && <p className="mt-3 text-quiet">Nobody is in this class yet.</p>}
    </section>
  );
}

function Enrol({ classId }: { classId: string }) {
  const accounts = useAccounts();
  const { trouble, act } = useAction();
  const [accountId, setAccountId] = useState('');
  const [part, setPart] = useState<Part>('student');
  return (
    <form
      className="mb-4 flex flex-wrap items-end gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        void act(() => api.post(`classes/${classId}/people`, { accountId, part }), 'Added to the class.');
      }}
    >
      <div className="w-full">
        <Trouble>{trouble}</Trouble>
      </div>
      <label className="min-w-0 flex-1">
        <span className="mb-1 block font-semibold">Person</span>
        <select className="field" value={accountId} onChange={(event) => setAccountId(event.target.value)}>
          <option value="">Choose …</option>
          {(accounts.data ?? [])
            .filter(({ role }) => role !== 'administrator')
            .map(({ id, givenName, familyName, role }) => (
              <option key={id} value={id}>
                {givenName} {familyName} ({role})
              </option>
            ))}
        </select>
      </label>
      <label>
        <span className="mb-1 block font-semibold">Part</span>
        <select className="field" value={part} onChange={(event) => setPart(event.target.value as Part)}>
          {PARTS.map((one) => (
            <option key={one}>{one}</option>
          ))}
        </select>
      </label>
      <Button type="submit" disabled={accountId === ''}>
        Add to the class
      </Button>
    </form>
  );
}
