import { ApiError, SaidError } from '../common/api';
import { useSend } from '../common/send';
import { placeWords } from './place-words';
import { useSheetPage } from './use-sheet';

/** Sends what needs everything on the sheet to be saved first; what is refused says the places on it. */
export function useAttempt() {
  const { writing, starter, reference } = useSheetPage();
  const { trouble, fault, isSending, send, refuse } = useSend('everything');
  const attempt = (work: () => Promise<void>, said = ''): Promise<boolean> =>
    send(async () => {
      const isSaved = await writing.flush();
      if (!isSaved || [starter, reference].some(({ store }) => store.getState().state !== 'saved'))
        throw new SaidError('Not everything on this sheet is saved yet, so nothing was done. Try again in a moment.');
      await work();
    }, said);
  const places = fault instanceof ApiError ? (fault.problem.problems ?? []) : [];
  const why = places.slice(0, 3).map(({ path, reason }) => `${placeWords(path)} ${reason}.`);
  return { trouble: [trouble, ...why].join(' '), busy: isSending, attempt, refuse };
}
