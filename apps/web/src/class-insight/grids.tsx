import { openStoredAssignment, requirementSentence } from '@ichnograph/core';
import type { Status } from '@ichnograph/core';
import type { ClassInsight } from '@ichnograph/contract';
import { useMemo, useRef, useState } from 'react';
import { Link } from 'react-router';
import { Balloon } from '../ui/balloon';
import { STATUS_WORDS, StatusMark } from '../ui/status-mark';
import { namesOf } from './names';
import { WriteOutTable } from './write-out-table';

interface Cell {
  status: Status;
  words: string;
  to: string;
}
interface Column {
  id: string;
  head: string;
  /** what it is about, said whole under the grid */
  words: string;
  /** 0 to 1: how the class does in it */
  share: number;
}
interface Row {
  id: string;
  name: string;
  share: number;
  cells: ReadonlyMap<string, Cell>;
}

const percent = (share: number): string => `${Math.round(share * 100)} %`;
const mean = (shares: readonly number[]): number =>
  shares.length === 0 ? 1 : shares.reduce((sum, one) => sum + one, 0) / shares.length;

/** Requirement by student: what nobody meets stands first, and so does who meets least. */
export function RequirementGrid({ insight }: { insight: ClassInsight }) {
  const assignment = useMemo(() => openStoredAssignment(insight.assignment), [insight.assignment]);
  const columns = assignment.requirements.map((requirement, i): Column => {
    const shares = insight.works.flatMap(
      ({ results }) => results.find(({ id }) => id === requirement.id)?.fraction ?? [],
    );
    return {
      id: requirement.id,
      head: String(i + 1),
      words: requirementSentence(requirement, assignment),
      share: mean(shares),
    };
  });
  const rows = insight.works.map(({ workId, members, results }): Row => ({
    id: workId,
    name: namesOf(members),
    share: mean(results.flatMap(({ fraction }) => fraction ?? [])),
    cells: new Map(
      results.map(({ id, status, fraction }) => [
        id,
        {
          status,
          words: fraction === null ? STATUS_WORDS[status] : `${STATUS_WORDS[status]}, ${percent(fraction)}`,
          to: `/piles/${insight.publicationId}/${workId}?requirement=${encodeURIComponent(id)}`,
        },
      ]),
    ),
  }));
  return <Grid title={insight.title} what="requirements" columns={columns} rows={rows} balloons />;
}

/** Term by student: the term that most could not place stands first. */
export function TermGrid({ insight }: { insight: ClassInsight }) {
  const { works, terms, publicationId } = insight;
  const columns = terms.map(({ term, works: placing }): Column => ({
    id: term,
    head: term,
    words: `“${term}”`,
    share: placing.length / works.length,
  }));
  const rows = works.map(({ workId, members }): Row => {
    const cells = new Map(
      terms.map(({ term, works: placing, near }): [string, Cell] => {
        const status: Status = near.includes(workId) ? 'partly' : placing.includes(workId) ? 'met' : 'unmet';
        const words = { partly: 'probably misspelt', met: 'placed', unmet: 'not placed' }[status as 'met'];
        return [term, { status, words, to: `/piles/${publicationId}/${workId}?term=${encodeURIComponent(term)}` }];
      }),
    );
    const placed = terms.filter((one) => one.works.includes(workId)).length;
    return { id: workId, name: namesOf(members), share: terms.length === 0 ? 1 : placed / terms.length, cells };
  });
  return <Grid title={insight.title} what="terms" columns={columns} rows={rows} />;
}

function Grid({
  title,
  what,
  columns,
  rows,
  balloons = false,
}: {
  title: string;
  what: string;
  columns: readonly Column[];
  rows: readonly Row[];
  balloons?: boolean;
}) {
  const [looked, setLooked] = useState<string | null>(null);
  const whole = useRef<HTMLDivElement>(null);
  const inTrouble = useMemo(() => columns.toSorted((a, b) => a.share - b.share), [columns]);
  const people = useMemo(() => rows.toSorted((a, b) => a.share - b.share), [rows]);
  if (columns.length === 0) return <p className="text-quiet">The assignment has no {what}.</p>;
  const about = inTrouble.find(({ id }) => id === looked) ?? inTrouble[0]!;
  return (
    <>
      <p
        className="words mb-2 min-h-10 border-l-[3px] border-ochre bg-ochre-wash px-3 py-1.5"
        data-testid="about-column"
      >
        <b>{percent(about.share)}</b> of the class: {about.words}
      </p>
      <WriteOutTable
        name={`${title}, ${what}`}
        rows={() => [
          ['Student', ...inTrouble.map(({ words }) => words)],
          ...people.map(({ name, cells }) => [name, ...inTrouble.map(({ id }) => cells.get(id)?.words ?? '')]),
        ]}
        pictured={whole}
      />
      <div
        ref={whole}
        className={`group flex items-start gap-6 data-pictured:w-max data-pictured:p-4 ${balloons ? 'flex-col xl:flex-row' : ''}`}
      >
        <div
          className="max-h-[calc(100dvh-15.5rem)] max-w-full shrink-0 group-data-pictured:max-h-none group-data-pictured:max-w-none overflow-auto border border-rule"
          tabIndex={0}
          role="group"
          aria-label={`Grid of ${what}`}
        >
          <table className="border-separate border-spacing-0">
            <thead>
              <tr>
                <th className="sticky left-0 top-0 z-20 border-b border-r border-ink bg-paper px-2 text-left align-bottom">
                  <span className="caption">Student</span>
                </th>
                {inTrouble.map(({ id, head, words, share }) => (
                  <th
                    key={id}
                    title={words}
                    className={`sticky top-0 z-10 min-w-9 border-b border-ink bg-paper px-1 pb-1 align-bottom font-normal ${id === about.id ? 'bg-ochre-wash' : ''}`}
                    onPointerEnter={() => setLooked(id)}
                  >
                    {balloons ? (
                      <Balloon number={Number(head)} quiet />
                    ) : (
                      <span className="words mx-auto block max-h-36 pb-1 text-sm [writing-mode:vertical-rl] rotate-180">
                        {head}
                      </span>
                    )}
                    <span className="mt-0.5 block font-mono text-xs text-quiet">{Math.round(share * 100)}</span>
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {people.map(({ id, name, share, cells }) => (
                <tr key={id} className="hover:bg-wash">
                  <th
                    scope="row"
                    className="sticky left-0 z-10 max-w-52 truncate border-b border-r border-b-rule border-r-ink bg-paper px-2 py-0.5 text-left font-normal"
                  >
                    {name} <span className="font-mono text-xs text-quiet">{Math.round(share * 100)}</span>
                  </th>
                  {inTrouble.map((column) => {
                    const cell = cells.get(column.id);
                    return (
                      <td
                        key={column.id}
                        className={`border-b border-rule p-0 text-center ${column.id === about.id ? 'bg-ochre-wash' : ''}`}
                      >
                        {cell && (
                          <Link
                            to={cell.to}
                            title={`${name}: ${cell.words}`}
                            aria-label={`${name}, ${column.words}: ${cell.words}`}
                            className="flex min-h-6 items-center justify-center px-1.5 py-1 pointer-coarse:min-h-11 pointer-coarse:min-w-11"
                            onPointerEnter={() => setLooked(column.id)}
                            onFocus={() => setLooked(column.id)}
                          >
                            <StatusMark status={cell.status} />
                          </Link>
                        )}
                      </td>
                    );
                  })}
                </tr>
              ))}
            </tbody>
          </table>
        </div>
        {balloons && (
          <ol aria-label="What is asked" className="grid max-w-3xl content-start gap-1 text-sm">
            {inTrouble.map(({ id, head, words, share }) => (
              <li
                key={id}
                className={`words flex gap-2 px-1 ${id === about.id ? 'bg-ochre-wash' : ''}`}
                onPointerEnter={() => setLooked(id)}
              >
                <Balloon number={Number(head)} quiet />
                <span className="w-8 shrink-0 text-right font-mono text-quiet">{Math.round(share * 100)}</span>
                <span>{words}</span>
              </li>
            ))}
          </ol>
        )}
      </div>
    </>
  );
}
