import { create } from 'zustand';

interface Said {
  id: number;
  words: string;
}

/** What a person who does not see the screen is told: `polite` after a pause, `alert` at once. */
const useWords = create<{ polite: Said[]; alert: Said | null; count: number }>(() => ({
  polite: [],
  alert: null,
  count: 0,
}));

/** How many stay in the page: later words must not wipe out earlier ones before they are heard. */
const KEPT = 6;

export const announce = (words: string): void =>
  useWords.setState(({ polite, count }) => ({
    polite: [...polite, { id: count, words }].slice(-KEPT),
    count: count + 1,
  }));
export const alertAloud = (words: string): void =>
  useWords.setState(({ count }) => ({ alert: { id: count, words }, count: count + 1 }));

/** Takes back an alert that holds no longer, so that nobody comes upon it later. */
export const hush = (): void => useWords.setState({ alert: null });

export function Announcer() {
  const { polite, alert } = useWords();
  return (
    <div className="sr-only">
      <div role="log" aria-live="polite" aria-label="What has changed" data-testid="announcer">
        {polite.map(({ id, words }) => (
          <p key={id}>{words}</p>
        ))}
      </div>
      <div role="alert">{alert && <p key={alert.id}>{alert.words}</p>}</div>
    </div>
  );
}
