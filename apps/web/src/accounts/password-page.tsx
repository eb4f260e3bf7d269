import { ChangePassword, PASSWORD_LEAST } from '@ichnograph/contract';
import { useState } from 'react';
import type { Me } from '@ichnograph/contract';
import { showMoment } from '../common/dates';
import { api } from '../common/api';
import { Page } from '../common/page';
import { useTimeZone, useWelcome } from '../common/queries';
import { useSend } from '../common/send';
import { useFields } from '../common/use-fields';
import { Button } from '../ui/button';
import { Field, Trouble } from '../ui/field';

/** Why a first password must be changed; where somebody made it anew, its owner is told who, and when. */
const firstLead = (madeAnew: Me['reset'], zone: string): string =>
  madeAnew
    ? `${madeAnew.by.givenName} ${madeAnew.by.familyName} made you a new first password (${showMoment(madeAnew.at, zone)}). Choose one that only you know. If you did not ask for it, ask them why.`
    : 'The one on your card is a first one: somebody else has seen it. Choose one that only you know.';

/** @param first whether the password one has is a first one, which must be changed before anything else */
export function PasswordPage({ first = false }: { first?: boolean }) {
  // Under a first password nothing else was shown yet: all of it is asked for now.
  const { trouble, send } = useSend(first ? 'everything' : []);
  const [done, setDone] = useState(false);
  const madeAnew = useWelcome().data?.me?.reset ?? null;
  const zone = useTimeZone();
  const change = async (wanted: ChangePassword): Promise<void> => {
    setDone(false);
    if (!(await send(() => api.post('password', wanted), 'Your password is changed.'))) return;
    setDone(true);
    reset();
  };
  const { form, field, sending, reset } = useFields(ChangePassword, { current: '', next: '' }, change);
  return (
    <Page
      title={first ? 'Choose a password of your own' : 'Change your password'}
      lead={first ? firstLead(madeAnew, zone) : 'Wherever else you are signed in, you will be signed out.'}
    >
      <form className="max-w-md" {...form}>
        <Trouble>{trouble}</Trouble>
        {done && <p className="mb-4 border-l-4 border-action bg-wash px-3 py-2">Your password is changed.</p>}
        <Field
          label={first ? 'The password on your card' : 'The password you have now'}
          type="password"
          autoComplete="current-password"
          {...field('current')}
        />
        <Field
          label="The new one"
          type="password"
          autoComplete="new-password"
          hint={`At least ${PASSWORD_LEAST} characters. A few words make a good one.`}
          {...field('next')}
        />
        <Button type="submit" look="action" disabled={sending}>
          Change password
        </Button>
      </form>
    </Page>
  );
}
