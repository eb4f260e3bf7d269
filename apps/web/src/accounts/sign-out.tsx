import { useEffect, useState } from 'react';
import type { Me } from '@ichnograph/contract';
import { alertAloud, announce } from '../common/announcer';
import { api, ApiError } from '../common/api';
import { hasDrafts } from '../common/drafts';
import { queries } from '../common/queries';
import { useSend } from '../common/send';
import { forget, hasUnsent } from '../live';
import { Confirm } from '../ui/dialog';

/** Signs out and wipes what this browser keeps of the person; first warns when something has not reached the server. */
export function useSignOut(me: Me) {
  const [asking, setAsking] = useState(false);
  const { send, trouble } = useSend([]);
  useEffect(() => {
    if (trouble) alertAloud(trouble);
  }, [trouble]);
  const leave = async (): Promise<void> => {
    const isOut = await send(() =>
      api.post('sign-out').catch((error: unknown) => {
        // Whose session is over already is signed out.
        if (!(error instanceof ApiError) || error.status !== 401) throw error;
      }),
    );
    if (!isOut) return;
    await forget(me.id);
    queries.clear();
    announce('You are signed out.');
    window.location.assign('/');
  };
  const signOut = async (): Promise<void> => {
    if (hasUnsent(me.id) || hasDrafts(me.id)) setAsking(true);
    else await leave();
  };
  const isMap = hasUnsent(me.id);
  const dialog = (
    <Confirm
      open={asking}
      danger
      title={isMap ? 'Some changes have not reached the server' : 'Something you began was not sent'}
      yes="Sign out and lose them"
      no="Stay signed in"
      onAnswer={(yes) => {
        setAsking(false);
        if (yes) void leave();
      }}
    >
      <p>
        {isMap
          ? 'They are kept in this browser only. Signing out removes them, so that nobody else at this machine can see them. Stay signed in until the map says “saved”.'
          : 'A comment, a note or a part of a sheet is kept in this browser only. Signing out removes it, so that nobody else at this machine can see it.'}
      </p>
    </Confirm>
  );
  return { signOut, dialog };
}
