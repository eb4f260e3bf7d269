import { NewAccount, NewClass } from '@ichnograph/contract';
import type { Card, ClassRow } from '@ichnograph/contract';
import { useState } from 'react';
import { api } from '../common/api';
import { Page } from '../common/page';
import { useClasses, useMe } from '../common/queries';
import { useSend } from '../common/send';
import { useFields } from '../common/use-fields';
import { Waiting } from '../common/waiting';
import { Button } from '../ui/button';
import { Field, Trouble } from '../ui/field';
import { Cards } from './cards';
import { Everyone } from './everyone';
import { Roster } from './roster';

/** Classes and who is in them: of a teacher their own, of the administrator all. */
export function PeoplePage() {
  const me = useMe();
  const classes = useClasses();
  const [chosen, setChosen] = useState<string | null>(null);
  const [cards, setCards] = useState<readonly Card[]>([]);
  if (classes.data === undefined) return <Waiting of={classes} what="Opening the classes …" />;
  const isAdministrator = me.role === 'administrator';
  const current = classes.data.find(({ id }) => id === chosen) ?? classes.data.find(({ archived }) => !archived);
  const [open, away] = [
    classes.data.filter(({ archived }) => !archived),
    classes.data.filter(({ archived }) => archived),
  ];
  // Nothing else is to be pressed while they stand here: they are shown this once.
  if (cards.length > 0 && current) return <Cards cards={cards} of={current} onDone={() => setCards([])} />;
  return (
    <Page
      title="People"
      lead={
        isAdministrator ? 'Accounts of teachers, classes, and who is in which.' : 'Your classes and who is in them.'
      }
    >
      <div className="grid gap-8 md:grid-cols-[16rem_1fr]">
        <section aria-labelledby="classes" className="no-print">
          <h2 id="classes" className="caption mb-2">
            Classes
          </h2>
          {classes.data.length === 0 && <p className="mb-3 text-quiet">None yet. Make the first one below.</p>}
          <ClassList classes={open} current={current} onChoose={setChosen} />
          {away.length > 0 && (
            <>
              <h3 className="caption mb-2">Put away</h3>
              <ClassList classes={away} current={current} onChoose={setChosen} />
            </>
          )}
          <ClassForm onMade={setChosen} />
          {isAdministrator && (
            <>
              <Everyone />
              <AccountForm />
            </>
          )}
        </section>
        {current && <Roster key={current.id} of={current} classes={open} onCards={setCards} />}
      </div>
    </Page>
  );
}

function ClassList({
  classes,
  current,
  onChoose,
}: {
  classes: readonly ClassRow[];
  current: ClassRow | undefined;
  onChoose: (id: string) => void;
}) {
  return (
    <ul className="mb-6 grid gap-1">
      {classes.map((one) => (
        <li key={one.id}>
          <button
            type="button"
            aria-current={one.id === current?.id || undefined}
            onClick={() => onChoose(one.id)}
            className={`flex w-full justify-between gap-3 rounded-sm border px-3 py-1.5 text-left ${one.id === current?.id ? 'border-action bg-wash font-semibold' : 'border-rule bg-white hover:bg-canvas'}`}
          >
            <span className="words min-w-0">{one.name}</span>
            <span className="font-mono text-sm text-quiet">{one.students}</span>
          </button>
        </li>
      ))}
    </ul>
  );
}

function ClassForm({ onMade }: { onMade: (id: string) => void }) {
  const { trouble, send } = useSend('everything');
  const make = async (wanted: NewClass): Promise<void> => {
    const post = async (): Promise<void> => onMade((await api.post<ClassRow>('classes', wanted)).id);
    if (await send(post, `The class ${wanted.name} is made.`)) reset();
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

const NOBODY = { role: 'teacher', givenName: '', familyName: '', name: '', password: '' } as const;

function AccountForm() {
  const { trouble, send } = useSend('everything');
  const make = async (wanted: NewAccount): Promise<void> => {
    if (await send(() => api.post('accounts', wanted), `${wanted.givenName} ${wanted.familyName} can sign in.`))
      reset();
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
