import { GROUP_TITLES, inGroups, judgementOf, numbered, say, sumsOf } from '@ichnograph/core';
import type { Assignment, Report, Result } from '@ichnograph/core';
import type { ReactNode } from 'react';
import { figure, sumWords } from '../../common/figures';
import { Balloon } from '../../ui/balloon';
import { StatusMark } from '../../ui/status-mark';
import { Sentence } from './requirement-sentence';

/** Nobody gave points of their own. */
const NONE = judgementOf([]).points;

/** What can be done with a result, as a row of the list or as a card beside a rail. */
export interface ResultActions {
  chosen: string | null;
  onChoose: (id: string | null) => void;
  onGo: (ids: readonly string[]) => void;
  showPoints?: boolean;
  /** what stands beside a missing term, such as a button that places it */
  termAction?: (term: string) => ReactNode;
  /** points that stand in place of the computed ones */
  ownPoints?: Readonly<Record<string, number>>;
  /** what a marker may do with a result, under its evidence */
  resultAction?: (result: Result) => ReactNode;
}

interface Props extends ResultActions {
  assignment: Assignment;
  /** null: the sentences alone, before anything was made */
  report: Report | null;
}

/** The numbered requirements with what the check found. Choosing one opens its evidence and dims the rest of the map. */
export function ResultsList({ assignment, report, ...rest }: Props) {
  const rows = assignment.requirements.map((requirement, i) => ({
    type: requirement.type,
    requirement,
    result: report?.results[i],
  }));
  return inGroups(rows).map(({ group, members }) => (
    <section key={group} aria-label={GROUP_TITLES[group]} className="mt-3">
      <h2 className="caption px-3.5">{GROUP_TITLES[group]}</h2>
      <ul>
        {members.map(({ requirement, number, result }) => (
          <Row key={requirement.id} {...{ assignment, requirement, number, result }} {...rest} />
        ))}
      </ul>
    </section>
  ));
}

function Row({
  requirement,
  number,
  result,
  assignment,
  chosen,
  onChoose,
  onGo,
  showPoints = false,
  termAction,
  ownPoints = NONE,
  resultAction,
}: Omit<Props, 'report'> & {
  requirement: Assignment['requirements'][number];
  number: number;
  result: Result | undefined;
}) {
  const isChosen = chosen === requirement.id;
  return (
    <li
      data-to-judge={result?.status === 'judge' && !(requirement.id in ownPoints) ? '' : undefined}
      className={`border-l-[3px] ${isChosen ? 'border-ochre bg-ochre-wash' : 'border-transparent'}`}
    >
      <button
        type="button"
        aria-expanded={isChosen}
        className={`flex w-full items-start gap-2.5 py-1.5 pl-[11px] pr-3.5 text-left ${isChosen ? '' : 'hover:bg-canvas'}`}
        onClick={() => onChoose(isChosen ? null : requirement.id)}
      >
        <Balloon
          number={number}
          quiet={!result || result.status === 'met'}
          {...(result && { status: result.status })}
        />
        {result && (
          <span className="mt-[3px]">
            <StatusMark status={result.status} />
          </span>
        )}
        <span className="words min-w-0 flex-1">
          <Sentence of={requirement.id} assignment={assignment} />
          {result && <span className="block text-sm text-quiet">{say(result.type, result)}</span>}
        </span>
        {showPoints && result && (
          <span
            className={`shrink-0 font-mono text-sm ${result.id in ownPoints ? 'font-bold text-indigo' : ''}`}
            {...(result.id in ownPoints && { title: 'Given by your teacher' })}
          >
            {pointsOf({ ...result, points: ownPoints[result.id] ?? result.points })}
          </span>
        )}
      </button>
      {isChosen && result && (
        <div className="pb-2 pl-12 pr-3.5">
          <EvidenceList result={result} hint={requirement.hint} onGo={onGo} termAction={termAction} />
          {resultAction?.(result)}
        </div>
      )}
    </li>
  );
}

const pointsOf = ({ status, points, outOf }: Result): string =>
  status === 'not-applicable' ? '–' : `${figure(points)} / ${figure(outOf)}`;

/** One requirement with its evidence, on a card over the map. */
export function RequirementCard({
  id,
  assignment,
  report,
  showPoints = false,
  onGo,
  termAction,
  ownPoints = NONE,
  resultAction,
}: Props & { id: string }) {
  const at = assignment.requirements.findIndex((one) => one.id === id);
  const requirement = assignment.requirements[at];
  if (!requirement) return null;
  const result = report?.results[at];
  const { number } = numbered(assignment.requirements).find((one) => one.id === id)!;
  return (
    <section
      aria-label={`Requirement ${number}`}
      className="max-h-[60vh] w-[min(17rem,calc(100vw-8rem))] overflow-y-auto border border-ink bg-paper px-3 py-2"
    >
      <h2 className="words font-semibold">
        <span className="mr-1.5 font-mono">{number}</span>
        <Sentence of={requirement.id} assignment={assignment} />
      </h2>
      {result && (
        <p className="mb-1 mt-0.5 text-quiet">
          {say(result.type, result)}{' '}
          {showPoints && (
            <span className="font-mono text-sm">
              {pointsOf({ ...result, points: ownPoints[result.id] ?? result.points })}
            </span>
          )}
        </p>
      )}
      {result && <EvidenceList result={result} hint={requirement.hint} onGo={onGo} termAction={termAction} />}
      {result && resultAction?.(result)}
    </section>
  );
}

function EvidenceList({
  result,
  hint,
  onGo,
  termAction,
}: {
  result: Result;
  hint?: string | undefined;
  onGo: Props['onGo'];
  termAction: Props['termAction'];
}) {
  const { evidence, status } = result;
  return (
    <div className="text-sm">
      {hint && <p className="words mb-1 border-l-2 border-rule pl-2 italic">{hint}</p>}
      {evidence.length === 0 && (
        <p className="text-quiet">
          {status === 'met'
            ? 'Nothing on the map to mend.'
            : status === 'judge'
              ? 'Your teacher will look at this.'
              : 'Nothing that is on the map is wrong here: what is asked for is still missing.'}
        </p>
      )}
      <ul className="grid gap-1">
        {evidence.slice(0, 40).map((piece, i) => {
          const ids = [...piece.topics, ...piece.links];
          const sentence = say(result.type, piece);
          const action = piece.term !== undefined && ids.length === 0 ? termAction?.(piece.term) : null;
          return (
            <li key={i} className="flex items-start justify-between gap-2">
              {ids.length > 0 ? (
                <button
                  type="button"
                  className="words min-w-0 text-left underline decoration-rule underline-offset-2 hover:decoration-ink"
                  onClick={() => onGo(ids)}
                >
                  {sentence}
                </button>
              ) : (
                <span className="words min-w-0">{action ? piece.term : sentence}</span>
              )}
              {action}
            </li>
          );
        })}
        {evidence.length > 40 && <li className="text-quiet">and {evidence.length - 40} more</li>}
      </ul>
    </div>
  );
}

/** How much is met, in figures and as a bar. */
export function ReportHead({ report, points = true }: { report: Report; points?: boolean }) {
  const counted = report.results.filter(({ status }) => status !== 'not-applicable');
  const met = counted.filter(({ status }) => status === 'met').length;
  const share = (of: (result: Result) => number): string =>
    `${(100 * counted.reduce((sum, one) => sum + of(one), 0)) / Math.max(1, counted.length)}%`;
  return (
    <div className="border-b border-rule px-3.5 pb-3">
      <p className="flex flex-wrap items-baseline justify-between gap-x-3">
        <span>
          <b className="text-xl font-bold">{met}</b> of {counted.length} met
        </span>
        {points && <span className="text-quiet">{sumWords(sumsOf(report))}</span>}
      </p>
      <div aria-hidden data-drawn className="mt-2 flex h-1.5 bg-rule">
        <div className="bg-action" style={{ width: share(({ status }) => (status === 'met' ? 1 : 0)) }} />
        <div
          className="bg-ochre"
          style={{ width: share(({ status, fraction }) => (status === 'met' ? 0 : (fraction ?? 0))) }}
        />
      </div>
    </div>
  );
}
