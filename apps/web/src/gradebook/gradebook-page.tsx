import { markWords } from '@ichnograph/core';
import type { ClassRow, Gradebook, GradebookCell } from '@ichnograph/contract';
import { Download } from 'lucide-react';
import { Fragment, useMemo, useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { figure } from '../common/figures';
import { Page } from '../common/page';
import { useClasses, useGradebook } from '../common/queries';
import { Waiting } from '../common/waiting';
import { buttonClass } from '../ui/button';
import { Segments } from '../ui/segments';
import { StaysHardSection } from './stays-hard';
import { statisticsOf } from './statistics';

/** The marks of a class across its assignments; of the first one's, where none is named. */
export function GradebookPage() {
  const { id } = useParams();
  const classes = useClasses();
  const mine = (classes.data ?? []).filter(({ archived, id: one }) => !archived || one === id);
  const chosen = id ?? mine[0]?.id ?? null;
  const gradebook = useGradebook(chosen);
  if (classes.data === undefined) return <Waiting of={classes} what="Opening the gradebook …" />;
  if (chosen === null)
    return (
      <Page title="Marks">
        <p className="text-quiet">You teach no class yet. The marks of your classes stand here then.</p>
      </Page>
    );
  if (gradebook.data === undefined) return <Waiting of={gradebook} what="Opening the gradebook …" />;
  return <GradebookTable key={chosen} gradebook={gradebook.data} classes={mine} />;
}

const FILTERS = ['All', 'Something waits', 'Something missing'] as const;
type Filter = (typeof FILTERS)[number];
type Student = Gradebook['students'][number];
const PASSES: Record<Filter, (student: Student) => boolean> = {
  All: () => true,
  'Something waits': ({ cells }) => cells.some(({ state }) => state === 'handed in' || state === 'being marked'),
  'Something missing': ({ cells }) => cells.some(({ mark }) => mark === null),
};

const shareOf = ({ mark }: GradebookCell): number | null => (mark && mark.outOf > 0 ? mark.sum / mark.outOf : null);

/** The mean of what was handed in; null where nothing was. */
function meanOf({ cells }: Student): number | null {
  const shares = cells.flatMap((cell) => shareOf(cell) ?? []);
  return shares.length === 0 ? null : shares.reduce((sum, one) => sum + one, 0) / shares.length;
}

/** By what a column sorts: the name, one assignment's mark by its position, or the mean. */
type Column = 'name' | 'mean' | number;

function GradebookTable({ gradebook, classes }: { gradebook: Gradebook; classes: readonly ClassRow[] }) {
  const navigate = useNavigate();
  const { classId, className, assignments, students } = gradebook;
  const [filter, setFilter] = useState<Filter>('All');
  const [typed, setTyped] = useState('');
  const [{ column, down }, setOrder] = useState<{ column: Column; down: boolean }>({ column: 'name', down: false });
  const shown = useMemo(() => {
    const words = typed.toLowerCase();
    const found = students.filter((one) => PASSES[filter](one) && nameOf(one).toLowerCase().includes(words));
    return sorted(found, column, down);
  }, [students, filter, typed, column, down]);
  const head = (name: string, by: Column, right: boolean) => (
    <th
      className={`py-1 align-bottom ${right ? 'pl-4 text-right' : ''}`}
      aria-sort={by === column ? (down ? 'descending' : 'ascending') : 'none'}
    >
      <button
        type="button"
        className={`words hover:underline ${right ? 'text-right' : ''}`}
        onClick={() => setOrder({ column: by, down: by === column && !down })}
      >
        {name}
        <span aria-hidden>{by === column ? (down ? ' ↓' : ' ↑') : ''}</span>
      </button>
    </th>
  );
  return (
    <Page
      title={`Marks of ${className}`}
      lead={`${students.length === 1 ? 'One student' : `${students.length} students`}, ${assignments.length === 1 ? 'one assignment' : `${assignments.length} assignments`}. A mark chosen opens the map.`}
      actions={
        <>
          {classes.length > 1 && (
            <select
              aria-label="Class"
              className="field w-auto"
              value={classId}
              onChange={({ target }) => void navigate(`/gradebook/${target.value}`)}
            >
              {classes.map(({ id, name }) => (
                <option key={id} value={id}>
                  {name}
                </option>
              ))}
            </select>
          )}
          <a className={buttonClass()} href={`/api/classes/${classId}/gradebook.csv`} download>
            <Download aria-hidden size={15} /> CSV
          </a>
          <a className={buttonClass()} href={`/api/classes/${classId}/gradebook.xlsx`} download>
            <Download aria-hidden size={15} /> Workbook
          </a>
        </>
      }
    >
      {assignments.length === 0 || students.length === 0 ? (
        <p className="text-quiet">
          {students.length === 0
            ? 'There are no students in this class yet.'
            : 'No assignment was given to this class yet. Its marks stand here then.'}
        </p>
      ) : (
        <>
          <div className="mb-3 flex flex-wrap items-center gap-3">
            <div className="flex max-w-full overflow-x-auto">
              <Segments label="Show" options={FILTERS} value={filter} onChange={setFilter} />
            </div>
            <input
              type="search"
              aria-label="Find a student"
              className="field w-52"
              placeholder="Find a student"
              value={typed}
              onChange={({ target }) => setTyped(target.value)}
            />
          </div>
          <div className="overflow-x-auto">
            <table className="w-full text-left">
              <thead>
                <tr className="border-b border-ink font-semibold">
                  {head('Student', 'name', false)}
                  {assignments.map(({ publicationId, title }, i) => (
                    <Fragment key={publicationId}>{head(title, i, true)}</Fragment>
                  ))}
                  {head('Mean', 'mean', true)}
                </tr>
              </thead>
              <tbody>
                {shown.map((student) => (
                  <Row key={student.person.id} student={student} />
                ))}
              </tbody>
              <tfoot>
                <Statistics assignments={assignments} students={shown} />
              </tfoot>
            </table>
          </div>
          {shown.length === 0 && <p className="mt-3 text-quiet">None of them just now.</p>}
          <StaysHardSection classId={classId} />
        </>
      )}
    </Page>
  );
}

function Row({ student }: { student: Student }) {
  const mean = meanOf(student);
  return (
    <tr className="border-b border-rule">
      <th scope="row" className="words py-1.5 pr-3 font-normal">
        {nameOf(student)}
      </th>
      {student.cells.map((cell) => (
        <td key={cell.publicationId} className="whitespace-nowrap pl-4 text-right">
          <Cell cell={cell} />
        </td>
      ))}
      <td className="pl-4 text-right font-mono text-sm">{mean === null ? '' : `${figure(mean * 100)} %`}</td>
    </tr>
  );
}

function Cell({ cell: { mark, publicationId, workId, state, late } }: { cell: GradebookCell }) {
  if (!mark) return <span className="text-sm text-quiet">{state}</span>;
  const isOut = state === 'returned' || state === 'done';
  return (
    <Link
      className="font-mono text-sm text-action underline"
      to={`/piles/${publicationId}/${workId}`}
      title={`${state}${late ? ', late' : ''}${mark.notJudged > 0 ? `, ${mark.notJudged} to judge` : ''}`}
    >
      {markWords(mark.shown)}
      {late && <span className="text-madder"> late</span>}
      {mark.notJudged > 0 && <span className="text-indigo"> · {mark.notJudged} to judge</span>}
      {!isOut && mark.notJudged === 0 && <span className="text-quiet"> · not returned</span>}
    </Link>
  );
}

/** How each assignment went for those who are shown, in shares of what it is out of. */
function Statistics({
  assignments,
  students,
}: {
  assignments: Gradebook['assignments'];
  students: readonly Student[];
}) {
  const columns = assignments.map((_, i) => statisticsOf(students.flatMap(({ cells }) => shareOf(cells[i]!) ?? [])));
  const rows = [
    ['Mean', 'mean'],
    ['Median', 'median'],
    ['Lowest', 'least'],
    ['Highest', 'most'],
  ] as const;
  return (
    <>
      {rows.map(([name, of], i) => (
        <tr key={of} className={`text-sm text-quiet ${i === 0 ? 'border-t border-ink' : ''}`}>
          <th scope="row" className="py-0.5 text-left font-normal">
            {name}
          </th>
          {columns.map((statistics, at) => (
            <td key={at} className="pl-4 text-right font-mono">
              {statistics ? `${figure(statistics[of] * 100)} %` : '–'}
            </td>
          ))}
          <td />
        </tr>
      ))}
    </>
  );
}

const nameOf = ({ person: { givenName, familyName } }: Student): string => `${givenName} ${familyName}`;

function sorted(students: readonly Student[], column: Column, down: boolean): Student[] {
  const byName = (a: Student, b: Student): number =>
    `${a.person.familyName} ${a.person.givenName}`.localeCompare(`${b.person.familyName} ${b.person.givenName}`);
  const keyOf = (student: Student): number | null =>
    column === 'mean' ? meanOf(student) : shareOf(student.cells[column as number]!);
  return students.toSorted((a, b) => {
    if (column === 'name') return down ? -byName(a, b) : byName(a, b);
    const [one, other] = [keyOf(a), keyOf(b)];
    // What somebody has none of stands last, whichever way it is sorted.
    if (one === null || other === null) return Number(one === null) - Number(other === null);
    return (down ? other - one : one - other) || byName(a, b);
  });
}
