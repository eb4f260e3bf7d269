import { create } from 'zustand';

/** What a person who does not see the screen is told: `polite` after a pause, `alert` at once. */
const useWords = create<{ polite: string; alert: string }>(() => ({ polite: '', alert: '' }));

// The same words twice would not be said again; a space that nobody hears makes them new.
const fresh = (before: string, words: string): string => (before === words ? `${words}\u00a0` : words);

export const announce = (words: string): void => useWords.setState(({ polite }) => ({ polite: fresh(polite, words) }));
export const alertAloud = (words: string): void => useWords.setState(({ alert }) => ({ alert: fresh(alert, words) }));

export function Announcer() {
  const { polite, alert } = useWords();
  return (
    <div className="sr-only">
      <div role="status" aria-live="polite" data-testid="announcer">{polite}</div>
      <div role="alert">{alert}</div>
    </div>
  );
}
