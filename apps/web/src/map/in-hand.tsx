import type { Topic } from '@ichnograph/core';
import type { Drag } from './use-drag';

/** What is said of what is in the hand: where it would hang, how much its links cross. */
export function InHand({ lifted, drop, crossings }: Pick<Drag, 'lifted' | 'drop' | 'crossings'>) {
  const crosses = crossings !== null && (crossings.were > 0 || crossings.are > 0);
  return (
    <>
      {/* The window follows the hand: what lies under it need not be found again at every step. */}
      {lifted && <div className="absolute inset-0 z-[5]" />}
      {drop ? <DropWords {...drop} /> : crosses && <Crossings {...crossings} />}
    </>
  );
}

/** A ring around the topic on which what is in the hand would hang. */
export function DropRing({ target: { x, y, width, height } }: { target: Topic }) {
  return (
    <div
      className="pointer-events-none absolute z-[998] border-2 border-dashed border-action bg-action/10"
      style={{ left: x - width / 2 - 6, top: y - height / 2 - 6, width: width + 12, height: height + 12 }}
    />
  );
}

/** Says what letting go will do, before it is done. */
function DropWords({ text, target }: { text: string; target: Topic }) {
  return (
    <p
      role="status"
      data-testid="drop-words"
      className="words pointer-events-none absolute left-1/2 top-3 z-30 max-w-[90%] -translate-x-1/2 border border-action bg-paper px-2.5 py-1"
    >
      Let go to hang “{text}” from “{target.text}”
    </p>
  );
}

function Crossings({ were, are }: { were: number; are: number }) {
  return (
    <p
      data-testid="crossings"
      className={`pointer-events-none absolute left-1/2 top-3 z-30 -translate-x-1/2 border bg-paper px-2.5 py-1 ${are > were ? 'border-madder' : are < were ? 'border-action' : 'border-rule'}`}
    >
      {are === 0 ? 'No crossing' : are === 1 ? '1 crossing' : `${are} crossings`}
      {are !== were && <span className="text-quiet"> · {were} before</span>}
    </p>
  );
}
