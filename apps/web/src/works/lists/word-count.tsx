import type { NoteAim } from '@ichnograph/core';

/** How many words there are, of how many their author set out to write, and how many are asked. */
export function WordCount({ count, aim, goal }: { count: number; aim: NoteAim | undefined; goal: number | undefined }) {
  const { least, most } = aim ?? { least: null, most: null };
  const asked = least === null ? null : most === null ? `at least ${least}` : `${least} to ${most}`;
  const isOff = count < (least ?? 0) || (most !== null && count > most);
  return (
    <span className={`shrink-0 text-right font-mono text-xs ${isOff ? 'text-ochre' : 'text-quiet'}`}>
      {goal === undefined ? count : `${count} of ${goal}`} {count === 1 && goal === undefined ? 'word' : 'words'}
      {asked !== null && <span className="block">{asked} asked</span>}
    </span>
  );
}
