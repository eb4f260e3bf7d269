import { MessagesSquare } from 'lucide-react';

export const BESIDE = ['Requirements', 'Comments'] as const;
export type Beside = (typeof BESIDE)[number];

const newWords = (unread: number): string => (unread === 0 ? '' : `, ${unread} new`);

/** What stands beside the map: what is asked for, or what is said. */
export function BesideMap({
  value,
  unread,
  onChange,
}: {
  value: Beside;
  unread: number;
  onChange: (value: Beside) => void;
}) {
  return (
    <div role="group" aria-label="Beside the map" className="flex border-b border-rule">
      {BESIDE.map((option) => (
        <button
          key={option}
          type="button"
          aria-pressed={option === value}
          aria-label={option === 'Comments' ? `Comments${newWords(unread)}` : option}
          onClick={() => onChange(option)}
          className={`flex flex-1 items-center justify-center gap-1.5 px-2 py-1.5 text-sm font-semibold pointer-coarse:min-h-11 ${option === value ? 'border-b-2 border-ink' : 'text-quiet hover:bg-canvas'}`}
        >
          {option}
          {option === 'Comments' && <Count of={unread} />}
        </button>
      ))}
    </div>
  );
}

/** The way to the comments where the panel is a rail. */
export function CommentsSign({ unread, forMe, onOpen }: { unread: number; forMe: number; onOpen: () => void }) {
  const words = `Comments${newWords(unread)}${forMe > 0 ? `, ${forMe} for you` : ''}`;
  return (
    <button
      type="button"
      aria-label={words}
      title={words}
      className="mx-auto my-1 flex items-center gap-0.5 rounded-sm border border-rule bg-white p-1.5 hover:bg-canvas"
      onClick={onOpen}
    >
      <MessagesSquare aria-hidden size={16} />
      <Count of={unread} />
    </button>
  );
}

const Count = ({ of }: { of: number }) =>
  of > 0 && (
    <span aria-hidden className="rounded-sm bg-indigo px-1 font-mono text-xs font-bold leading-4 text-white">
      {of}
    </span>
  );
