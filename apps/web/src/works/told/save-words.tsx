import type { SaveState } from '../../live';

const WORDS: Record<SaveState, string> = {
  opening: 'Opening …',
  saved: 'Saved',
  saving: 'Saving …',
  offline: 'Offline, kept here',
  adrift: 'Offline, only here',
  full: 'Map is full',
  'not taken': 'Not taken',
  'not stored': 'Could not save yet',
  closed: 'Not connected',
};
const LONG: Partial<Record<SaveState, string>> = {
  offline: 'No connection. Your changes are kept in this browser and are sent as soon as the connection is back.',
  adrift:
    'No connection, and this browser keeps nothing. Leave this page open: your changes are sent as soon as the connection is back.',
  full: 'This map is as large as a map may be, so your last changes are not stored. What was saved before is safe. Undo them, or delete something, and load the page again.',
  'not taken':
    'The server does not take what this page would send, so your last changes are not stored. What was saved before is safe. Load the page again; if it says so again, tell your teacher.',
  'not stored': 'The server cannot store your changes just now. Leave this page open; it keeps trying.',
  closed:
    'You are signed out, or this map is not yours to change any more. What was saved is safe; what was not is kept in this browser for you. Load the page to sign in again.',
};

export const saveWords = (state: SaveState): string => WORDS[state];
export const saveSentence = (state: SaveState): string | undefined => LONG[state];

export function SaveWords({ state }: { state: SaveState }) {
  const colour = state === 'saved' ? 'bg-action' : state === 'saving' || state === 'opening' ? 'bg-quiet' : 'bg-madder';
  return (
    <span className="inline-flex items-center gap-1.5" data-testid="save-state">
      <span aria-hidden data-drawn className={`h-2 w-2 shrink-0 ${colour}`} />
      {WORDS[state]}
    </span>
  );
}
