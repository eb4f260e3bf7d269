import { drawLink, pathData } from '@ichnograph/core';
import type { Legend, Topic, TopicMap } from '@ichnograph/core';
import type { Drag, Drop } from './use-drag';

/** What is said of what is in the hand: where it would come to hang, how much its links cross, what goes with it. */
export function InHand({
  map,
  lifted,
  drop,
  crossings,
}: { map: TopicMap } & Pick<Drag, 'lifted' | 'drop' | 'crossings'>) {
  const crosses = crossings !== null && (crossings.were > 0 || crossings.are > 0);
  return (
    <>
      {/* The window follows the hand: what lies under it need not be found again at every step. */}
      {lifted && <div className="absolute inset-0 z-[5]" />}
      {drop ? <DropWords map={map} drop={drop} /> : crosses && <Crossings {...crossings} />}
    </>
  );
}

/** What letting go would change, marked on the map: the topic to hang from, or the link to go into. */
export function DropMark({ map, legend, drop }: { map: TopicMap; legend: Legend; drop: Drop }) {
  if (drop.does === 'hang') return <DropRing {...drop} />;
  const [from, to] = [drop.link.from, drop.link.to].map((id) => map.topics.find((one) => one.id === id));
  if (!from || !to) return null;
  return (
    <svg aria-hidden width="1" height="1" className="pointer-events-none absolute z-[998] overflow-visible">
      <path
        d={pathData(drawLink(drop.link, from, to, legend).line)}
        fill="none"
        stroke="var(--color-action)"
        strokeOpacity="0.35"
        strokeWidth="10"
      />
    </svg>
  );
}

function DropRing({ target: { x, y, width, height }, isBelow }: { target: Topic; isBelow: boolean }) {
  return (
    <div
      className={`pointer-events-none absolute z-[998] border-2 border-dashed ${isBelow ? 'border-madder bg-madder/10' : 'border-action bg-action/10'}`}
      style={{ left: x - width / 2 - 6, top: y - height / 2 - 6, width: width + 12, height: height + 12 }}
    />
  );
}

/** Says what letting go will do, before it is done. */
function DropWords({ map, drop }: { map: TopicMap; drop: Drop }) {
  return (
    <p
      role="status"
      data-testid="drop-words"
      className="words pointer-events-none absolute left-1/2 top-3 z-30 max-w-[90%] -translate-x-1/2 border border-action bg-paper px-2.5 py-1"
    >
      {wordsOf(map, drop)}
    </p>
  );
}

function wordsOf(map: TopicMap, drop: Drop): string {
  const textOf = (id: string): string => map.topics.find((one) => one.id === id)?.text ?? '';
  if (drop.does === 'between')
    return `Let go to put “${textOf(drop.id)}” between “${textOf(drop.link.from)}” and “${textOf(drop.link.to)}”`;
  const what = drop.heads.length === 1 ? `“${textOf(drop.heads[0]!)}”` : `${drop.heads.length} topics`;
  return drop.isBelow
    ? `“${drop.target.text}” hangs from ${what} itself: nothing can hang from what hangs from it`
    : `Let go to hang ${what} from “${drop.target.text}”`;
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
