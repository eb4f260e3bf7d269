import { nearWordings } from '@ichnograph/core';
import type { ClassInsight, ClassPropositions, PropositionRow } from '@ichnograph/contract';
import { ChevronDown, ChevronRight } from 'lucide-react';
import { useMemo, useRef, useState } from 'react';
import { Link } from 'react-router';
import { focusOn } from '../common/focus-on';
import { useClassPropositions } from '../common/queries';
import { Waiting } from '../common/waiting';
import { Button } from '../ui/button';
import { Trouble } from '../ui/field';
import { Segments } from '../ui/segments';
import { GiveVerdictRow, VerdictSign } from '../verdicts';
import type { Given } from '../verdicts';
import { namesByWork, ofMaps } from './names';
import { useGiveVerdict } from './use-give-verdict';
import { WriteOutTable } from './write-out-table';

const FILTERS = ['To judge', 'All', 'Wrong', 'Turned'] as const;
type Filter = (typeof FILTERS)[number];
const PASSES: Record<Filter, (row: PropositionRow) => boolean> = {
  'To judge': ({ judged }) => judged === null,
  All: () => true,
  Wrong: ({ judged }) => judged?.verdict === 'wrong',
  Turned: ({ turned }) => turned > 0,
};

/** Everything the maps say, each once, most frequent first: judged here it holds in every map. */
export function ClassSentences({ insight }: { insight: ClassInsight }) {
  const propositions = useClassPropositions(insight.publicationId);
  if (propositions.data === undefined) return <Waiting of={propositions} what="Reading the sentences …" />;
  return <Sentences title={insight.title} all={propositions.data} names={namesByWork(insight)} />;
}

/** So many wordings stand there at first, and so many more each time one asks or comes to the last. */
const AT_ONCE = 60;

function Sentences({
  title,
  all,
  names,
}: {
  title: string;
  all: ClassPropositions;
  names: ReadonlyMap<string, string>;
}) {
  const { trouble, give } = useGiveVerdict(all);
  const [filter, setFilter] = useState<Filter>('To judge');
  // What was judged while one looks stays where it is, until one chooses anew what to look at.
  const [shown, setShown] = useState(() => keysOf(all, 'To judge'));
  const [most, setMost] = useState(AT_ONCE);
  const list = useRef<HTMLUListElement>(null);
  const groups = useMemo(
    () =>
      nearWordings(all.propositions.map((row) => ({ ...row.said, row }))).map((group) => group.map(({ row }) => row)),
    [all.propositions],
  );
  const visible = groups.map((group) => group.filter(({ key }) => shown.has(key))).filter((group) => group.length > 0);
  const inSight = visible.slice(0, most);
  const order = visible.flat().map(({ key }) => key);
  const step = (key: string, by: 1 | -1): void => {
    const next = order[order.indexOf(key) + by];
    if (next === undefined) return;
    if (!inSight.some((group) => group.some((row) => row.key === next))) setMost(most + AT_ONCE);
    focusOn(() =>
      list.current
        ?.querySelector(`[data-row="${CSS.escape(next)}"]`)
        ?.querySelector<HTMLElement>('[data-verdict][tabindex="0"]'),
    );
  };
  const judged = all.propositions.filter((one) => one.judged).length;
  const complete = all.works.filter((work) => work.complete).length;
  return (
    <>
      <div className="mb-3 flex flex-wrap items-center justify-between gap-3">
        <p data-testid="so-many-judged">
          <b>{judged}</b> of {all.propositions.length} judged · <b>{complete}</b> of {all.works.length} maps complete
        </p>
        <div className="flex max-w-full overflow-x-auto">
          <Segments
            label="Show"
            options={FILTERS}
            value={filter}
            onChange={(next) => {
              setFilter(next);
              setShown(keysOf(all, next));
              setMost(AT_ONCE);
            }}
          />
        </div>
      </div>
      <Trouble>{trouble}</Trouble>
      {visible.length === 0 && (
        <p className="text-quiet">
          {filter === 'To judge' ? 'Everything the maps say is judged.' : 'None of them just now.'}
        </p>
      )}
      <p className="mb-2 text-sm text-quiet pointer-coarse:hidden">
        1 sound, 2 true but say how, 3 shaky, 4 wrong; then the next. R writes the remark that goes with it, 0 takes the
        verdict back.
      </p>
      {visible.length > 0 && <WriteOutTable name={`${title}, sentences`} rows={() => asTable(visible.flat(), names)} />}
      <ul ref={list} className="max-w-4xl border-t border-rule">
        {inSight.map((group) => (
          <li key={group[0]!.key} className={group.length > 1 ? 'border-l-[3px] border-l-indigo' : ''}>
            <ul>
              {group.map((row) => (
                <Row
                  key={row.key}
                  row={row}
                  all={all}
                  names={names}
                  isNear={group.length > 1 && row !== group[0]}
                  onGive={(given) => give([row.key], given, row.judged)}
                  onStep={(by) => step(row.key, by)}
                />
              ))}
            </ul>
          </li>
        ))}
      </ul>
      {visible.length > most && (
        <Button className="mt-3" onClick={() => setMost(most + AT_ONCE)}>
          Show more: {visible.length - most} are not shown
        </Button>
      )}
    </>
  );
}

/** What the list says, for a spreadsheet. */
const asTable = (rows: readonly PropositionRow[], names: ReadonlyMap<string, string>): string[][] => [
  ['From', 'Phrase', 'To', 'Maps', 'The other way round in', 'Verdict', 'Students'],
  ...rows.map(({ from, phrase, to, works, turned, judged }) => [
    from,
    phrase,
    to,
    String(works.length),
    String(turned),
    judged?.verdict ?? '',
    works.map((id) => names.get(id) ?? '').join('; '),
  ]),
];

const keysOf = ({ propositions }: ClassPropositions, filter: Filter): ReadonlySet<string> =>
  new Set(propositions.filter(PASSES[filter]).map(({ key }) => key));

function Row({
  row,
  all,
  names,
  isNear,
  onGive,
  onStep,
}: {
  row: PropositionRow;
  all: ClassPropositions;
  /** by work, who made it */
  names: ReadonlyMap<string, string>;
  isNear: boolean;
  onGive: (given: Given) => Promise<boolean>;
  onStep: (by: 1 | -1) => void;
}) {
  const [open, setOpen] = useState(false);
  const { key, from, phrase, to, works, turned, judged, otherwise } = row;
  const Chevron = open ? ChevronDown : ChevronRight;
  return (
    <li data-row={key} className="border-b border-rule">
      <div
        className={`grid items-start pointer-coarse:items-center sm:grid-cols-[minmax(0,1fr)_auto] gap-x-4 gap-y-1 py-1 pr-1 ${isNear ? 'pl-6' : 'pl-1'}`}
      >
        <button
          type="button"
          aria-expanded={open}
          className="words flex w-full items-baseline gap-1.5 py-0.5 text-left pointer-coarse:min-h-11 pointer-coarse:items-center hover:bg-wash"
          onClick={() => setOpen(!open)}
        >
          <Chevron aria-hidden size={13} className="shrink-0 self-center text-quiet" />
          <span className="w-7 shrink-0 text-right font-mono text-sm" title={ofMaps(works.length, all.works.length)}>
            {works.length}
            <span className="sr-only"> of {all.works.length}</span>
          </span>
          <span>
            {from} <b className="text-action">{phrase || '…'}</b> {to}.
            {turned > 0 && (
              <span className="text-sm text-madder"> · the other way round in {turned === 1 ? 'one' : turned}</span>
            )}
            {otherwise.length > 0 && (
              <span className="text-sm text-indigo">
                {' '}
                · judged otherwise in {otherwise.length === 1 ? 'one' : otherwise.length}
              </span>
            )}
          </span>
        </button>
        <GiveVerdictRow roomy of={`${from} ${phrase || '…'} ${to}`} judged={judged} onGive={onGive} onStep={onStep} />
      </div>
      {open && (
        <ul className="flex flex-wrap gap-x-4 gap-y-1 pb-2 pl-7 text-sm">
          {works.map((workId) => {
            const own = otherwise.find((one) => one.workId === workId);
            return (
              <li key={workId}>
                <Link
                  className="text-action underline"
                  to={`/piles/${all.publicationId}/${workId}?says=${encodeURIComponent(key)}`}
                >
                  {names.get(workId)}
                </Link>
                {own && (
                  <>
                    {' '}
                    <VerdictSign {...own.judged} />
                  </>
                )}
              </li>
            );
          })}
        </ul>
      )}
    </li>
  );
}
