import { useState } from 'react';
import { announce } from './announcer';
import { sentenceOfError } from './api';
import { refresh } from './queries';

/** Runs an action, says what came of it where it does not say so itself, and asks again for what it changed. `act` answers whether it worked. */
export function useAction() {
  const [trouble, setTrouble] = useState('');
  const act = async (work: () => Promise<unknown>, said = ''): Promise<boolean> => {
    setTrouble('');
    try {
      await work();
      if (said) announce(said);
      await refresh();
      return true;
    } catch (error) {
      setTrouble(sentenceOfError(error));
      return false;
    }
  };
  return { trouble, act };
}
