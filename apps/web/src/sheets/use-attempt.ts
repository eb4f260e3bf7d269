import { useState } from 'react';
import { ApiError, sentenceOfError } from '../common/api';
import { placeWords } from './place-words';
import { useSheetPage } from './use-sheet';

/** Runs what needs everything on the sheet to be saved first, and says what came of it where it did not work. */
export function useAttempt() {
  const { writing, starter, reference } = useSheetPage();
  const [trouble, setTrouble] = useState('');
  const [busy, setBusy] = useState(false);
  const attempt = async (work: () => Promise<void>): Promise<void> => {
    setTrouble('');
    setBusy(true);
    try {
      const isSaved = await writing.flush();
      if (!isSaved || [starter, reference].some(({ store }) => store.getState().state !== 'saved'))
        setTrouble('Not everything on this sheet is saved yet, so nothing was done. Try again in a moment.');
      else await work();
    } catch (error) {
      const places = error instanceof ApiError ? (error.problem.problems ?? []) : [];
      setTrouble(
        [
          sentenceOfError(error),
          ...places.slice(0, 3).map(({ path, reason }) => `${placeWords(path)} ${reason}.`),
        ].join(' '),
      );
    } finally {
      setBusy(false);
    }
  };
  return { trouble, setTrouble, busy, attempt };
}
