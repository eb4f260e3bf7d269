import { SignIn } from '@ichnograph/contract';
import { api } from '../common/api';
import { Mark } from '../common/mark';
import { useTitle } from '../common/page';
import { useDemoPeople, useWelcome } from '../common/queries';
import { useSend } from '../common/send';
import { useFields } from '../common/use-fields';
import { Button } from '../ui/button';
import { Field, Trouble } from '../ui/field';

export function SignInPage() {
  useTitle('Sign in');
  const welcome = useWelcome().data;
  const { trouble, send } = useSend('everything');
  const enter = (path: string, body?: unknown): Promise<boolean> => send(() => api.post(path, body));
  return (
    <main
      id="main"
      className="mx-auto grid min-h-screen w-full max-w-4xl content-center gap-10 px-6 py-10 md:grid-cols-2"
    >
      <section>
        <p className="mb-8 flex items-center gap-2 text-lg font-semibold">
          <Mark />
          Ichnograph
        </p>
        <h1 className="text-2xl font-semibold leading-tight">Ground plans of ideas</h1>
        <p className="mt-3 max-w-[42ch] text-quiet">
          Set a map, build it, see at once what is still asked for, and mark it with the evidence in view.
        </p>
        {welcome?.school && <p className="mt-6 border-l-2 border-rule pl-3">{welcome.school}</p>}
      </section>
      <section className="card p-6">
        <h2 className="mb-4 text-lg font-semibold">Sign in</h2>
        <Trouble>{trouble}</Trouble>
        <SignInForm onEnter={(wanted) => enter('sign-in', wanted)} />
        {welcome?.demo && <DemoPeople onChoose={(name) => void enter(`demo/sign-in/${name}`)} />}
      </section>
    </main>
  );
}

function SignInForm({ onEnter }: { onEnter: (wanted: SignIn) => Promise<boolean> }) {
  const { form, field, sending } = useFields(SignIn, { name: '', password: '' }, onEnter);
  return (
    <form {...form}>
      <Field label="Sign-in name" autoComplete="username" autoCapitalize="none" {...field('name')} />
      <Field label="Password" type="password" autoComplete="current-password" {...field('password')} />
      <Button type="submit" look="action" disabled={sending}>
        {sending ? 'Signing in …' : 'Sign in'}
      </Button>
    </form>
  );
}

function DemoPeople({ onChoose }: { onChoose: (name: string) => void }) {
  const people = useDemoPeople(true).data ?? [];
  return (
    <div className="mt-6 border-t border-rule pt-4">
      <h3 className="caption mb-2">Or be one of the made-up people</h3>
      <ul className="grid gap-1">
        {people.map(({ id, name, givenName, familyName, who }) => (
          <li key={id}>
            <button
              type="button"
              onClick={() => onChoose(name)}
              className="flex w-full flex-wrap items-baseline justify-between gap-x-3 rounded-sm border border-rule bg-white px-3 py-1.5 text-left hover:bg-wash"
            >
              <span className="font-semibold">
                {givenName} {familyName}
              </span>
              <span className="text-sm text-quiet">{who}</span>
            </button>
          </li>
        ))}
      </ul>
    </div>
  );
}
