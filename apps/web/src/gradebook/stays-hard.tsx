import type { StaysHard } from '@ichnograph/contract';
import { useState } from 'react';
import { Link } from 'react-router';
import { useStaysHard } from '../common/queries';
import { Button } from '../ui/button';

const percent = (share: number | null | undefined): string =>
  share === null || share === undefined ? '–' : `${Math.round(share * 100)} %`;

/** Over the assignments of a class: which requirements and which terms stay hard. Read when it is asked for. */
export function StaysHardSection({ classId }: { classId: string }) {
  const [open, setOpen] = useState(false);
  const hard = useStaysHard(open ? classId : null);
  return (
    <section aria-labelledby="hard" className="mt-10">
      <h2 id="hard" className="mb-2 text-lg font-semibold">
        What stays hard
      </h2>
      {!open && <Button onClick={() => setOpen(true)}>Look over all assignments</Button>}
      {open && hard.data === undefined && <p role="status">Reading the maps of all assignments …</p>}
      {hard.data && <Tables hard={hard.data} />}
    </section>
  );
}

function Tables({ hard: { assignments, requirements, terms } }: { hard: StaysHard }) {
  if (requirements.length === 0 && terms.length === 0)
    return <p className="text-quiet">Nothing was handed in yet in this class.</p>;
  const table = (name: string, rows: { key: string; words: string; shares: (number | null)[] }[]) => (
    <div className="mb-6 overflow-x-auto">
      <table className="w-full text-left text-sm">
        <thead>
          <tr className="border-b border-ink align-bottom font-semibold">
            <th className="py-1">{name}</th>
            {assignments.map(({ publicationId, title }) => (
              <th key={publicationId} className="words max-w-40 pl-4 text-right">
                <Link className="text-action underline" to={`/class/${publicationId}/${name.toLowerCase()}`}>
                  {title}
                </Link>
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map(({ key, words, shares }) => (
            <tr key={key} className="border-b border-rule">
              <th scope="row" className="words py-1 pr-3 font-normal">
                {words}
              </th>
              {shares.map((share, i) => (
                <td
                  key={i}
                  className={`pl-4 text-right font-mono ${share !== null && share < 0.5 ? 'font-bold text-madder' : share !== null && share < 0.8 ? 'text-ochre' : ''}`}
                >
                  {percent(share)}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
  return (
    <>
      <p className="mb-2 text-quiet">
        Shares of what was met, and of the maps that place a term. What is hardest stands first.
      </p>
      {table(
        'Requirements',
        requirements.map(({ type, words, shares }) => ({ key: type, words, shares })),
      )}
      {terms.length > 0 &&
        table(
          'Terms',
          terms.map(({ term, shares }) => ({ key: term, words: term, shares })),
        )}
    </>
  );
}
