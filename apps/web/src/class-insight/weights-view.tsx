import { openStoredAssignment, requirementSentence } from '@ichnograph/core';
import type { ClassInsight, ClassWeights, SheetDetail } from '@ichnograph/contract';
import { useMemo } from 'react';
import { Link, useNavigate } from 'react-router';
import { api } from '../common/api';
import { figure } from '../common/figures';
import { useClassWeights } from '../common/queries';
import { useSend } from '../common/send';
import { Waiting } from '../common/waiting';
import { Button } from '../ui/button';
import { Trouble } from '../ui/field';
import { namesByWork } from './names';
import { Table } from '../ui/table';

const percent = (share: number): string => `${Math.round(share * 100)} %`;

/** The points that reproduce what a teacher gave by feel, how far they are off, and where most. */
export function WeightsView({ insight }: { insight: ClassInsight }) {
  const weights = useClassWeights(insight.publicationId);
  if (weights.data === undefined) return <Waiting of={weights} what="Weighing …" />;
  const { refused } = weights.data;
  if (refused !== null)
    return (
      <div className="grid max-w-[70ch] gap-2">
        <p>{refused}</p>
        <p className="text-quiet">
          Mark maps by feel, in per cent: what you see before you read the results. It is given below the criteria of a
          map and counts nothing by itself; the points that come nearest to it are worked out here.
        </p>
        <p>
          <Link className="text-action underline" to={`/piles/${insight.publicationId}`}>
            Choose a map to mark
          </Link>
        </p>
      </div>
    );
  return <Learned insight={insight} learned={weights.data} />;
}

function Learned({ insight, learned }: { insight: ClassInsight; learned: ClassWeights }) {
  const assignment = useMemo(() => openStoredAssignment(insight.assignment), [insight.assignment]);
  const { trouble, send } = useSend('everything');
  const navigate = useNavigate();
  const names = namesByWork(insight);
  /** Writes the points into the sheet; what that changes for each map is shown there before it holds. */
  const take = async (): Promise<void> => {
    const done = await send(async () => {
      const sheet = await api.get<SheetDetail>(`assignments/${insight.assignmentId}/sheet`);
      const { version, body } = sheet.parts.requirements!;
      const points = new Map(learned.weights.map((one) => [one.requirement, Number(one.points.toFixed(1))]));
      const requirements = (body.requirements as { id: string; points: number }[]).map((one) => ({
        ...one,
        points: points.get(one.id) ?? one.points,
      }));
      await api.put(`assignments/${insight.assignmentId}/sheet/requirements`, {
        version,
        body: { ...body, requirements },
      });
    }, 'The points stand in the sheet. Nothing holds before you revise the assignment there.');
    if (done) await navigate(`/assignments/${insight.assignmentId}/sheet`);
  };
  return (
    <>
      <p className="mb-3 max-w-[70ch]">
        These points come nearest to what you gave {learned.marked} maps by feel: they are off by{' '}
        {percent(learned.error)} on the whole.
      </p>
      <Trouble>{trouble}</Trouble>
      <div className="grid gap-8 lg:grid-cols-[minmax(0,1fr)_24rem]">
        <section aria-label="Points">
          <Table
            columns={[
              'Requirement',
              { name: 'Now', className: 'text-right' },
              { name: 'Learned', className: 'pl-4 text-right' },
            ]}
          >
            {learned.weights.map(({ requirement, before, points }, i) => (
              <tr key={requirement} className="border-b border-rule">
                <td className="words py-1 pr-3">
                  <span className="mr-2 font-mono text-sm text-quiet">{i + 1}</span>
                  {requirementSentence(assignment.requirements[i]!, assignment)}
                </td>
                <td className="text-right font-mono text-sm">{figure(before)}</td>
                <td
                  className={`pl-4 text-right font-mono text-sm ${Math.abs(points - before) < 0.05 ? '' : points > before ? 'text-action' : 'text-madder'}`}
                >
                  {Math.abs(points - before) < 0.05 ? '' : points > before ? '↑ ' : '↓ '}
                  {figure(points)}
                </td>
              </tr>
            ))}
          </Table>
          <div className="mt-3">
            <Button look="action" onClick={() => void take()}>
              Write them into the sheet …
            </Button>
            <p className="mt-1 text-sm text-quiet">
              There you see what they change for each map before they hold, and may change your mind.
            </p>
          </div>
        </section>
        <section aria-label="Maps that disagree">
          <Table
            columns={[
              'Map',
              { name: 'By feel', className: 'text-right' },
              { name: 'By points', className: 'pl-4 text-right' },
            ]}
            caption={<caption className="caption mb-1 text-left">Maps that disagree most</caption>}
          >
            {learned.maps.map(({ workId, mark, fitted }) => (
              <tr key={workId} className="border-b border-rule">
                <td className="py-1">
                  <Link className="text-action underline" to={`/piles/${insight.publicationId}/${workId}`}>
                    {names.get(workId)}
                  </Link>
                </td>
                <td className="text-right font-mono text-sm">{percent(mark)}</td>
                <td className="pl-4 text-right font-mono text-sm">{percent(fitted)}</td>
              </tr>
            ))}
          </Table>
        </section>
      </div>
    </>
  );
}
