import { useState } from 'react';
import type { Me } from '@ichnograph/contract';
import { alertAloud, announce } from '../common/announcer';
import { api, ApiError, sentenceOfError } from '../common/api';
import { queries } from '../common/queries';
import { forget, hasUnsent } from '../live';
import { Confirm } from '../ui/dialog';

/** Signs out and wipes what this browser keeps of the person; first warns when something has not reached the server. */
export function useSignOut(me: Me) {
  const [asking, setAsking] = useState(false);
  const leave = async (): Promise<void> => {
    try {
      await api.post('sign-out');
    } catch (error) {
      if (!(error instanceof ApiError) || error.status !== 401) {
        alertAloud(sentenceOfError(error));
        return;
      }
    }
    await forget(me.id);
    queries.clear();
    announce('You are signed out.');
    window.location.assign('/');
  };
  const signOut = async (): Promise<void> => {
    if (hasUnsent(me.id)) setAsking(true);
    else await leave();
  };
  const dialog = (
    <Confirm
      open={asking}
      danger
      title="Some changes have not reached the server"
      yes="Sign out and lose them"
      no="Stay signed in"
      onAnswer={(yes) => {
        setAsking(false);
        if (yes) void leave();
      }}
    >
      <p>
        They are kept in this browser only. Signing out removes them, so that nobody else at this machine can see them.
        Stay signed in until the map says “saved”.
      </p>
    </Confirm>
  );
  return { signOut, dialog };
}
