import { numbered } from '@ichnograph/core';
import type { Assignment, Report } from '@ichnograph/core';
import { useState } from 'react';
import type { ReactNode } from 'react';
import { createPortal } from 'react-dom';
import { STATUS_WORDS, StatusMark } from '../ui/status-mark';
import { figure } from '../common/figures';
import { RequirementCard } from './results-list';
import type { ResultActions } from './results-list';

interface Props extends ResultActions {
  assignment: Assignment;
  /** null: nothing was checked yet */
  report: Report | null;
  /** what stands above the marks, such as the sum */
  head: ReactNode;
}

/**
 * The requirements as a rail: a number and a state each. What one points at, or has chosen, opens as a card over the map.
 */
export function ResultsRail({ assignment, report, head, chosen, ...rest }: Props) {
  const [peek, setPeek] = useState<string | null>(null);
  const [card, setCard] = useState<HTMLDivElement | null>(null);
  const shown = peek ?? chosen;
  const rows = numbered(assignment.requirements.map(({ id, type }, i) => ({ id, type, result: report?.results[i] })));
  return (
    <div className="pb-3" onPointerLeave={() => setPeek(null)}>
      {head}
      <ul className="grid">
        {rows.map(({ id, number, result }) => (
          <li key={id}>
            <button
              type="button"
              aria-pressed={chosen === id}
              aria-label={`Requirement ${number}${result ? `, ${STATUS_WORDS[result.status]}` : ''}`}
              className={`flex h-[27px] w-full items-center justify-center gap-1.5 ${chosen === id ? 'bg-ochre-wash' : 'hover:bg-canvas'}`}
              onClick={() => rest.onChoose(chosen === id ? null : id)}
              onPointerEnter={({ pointerType }) => {
                if (pointerType === 'mouse') setPeek(id);
              }}
              onFocus={() => setPeek(id)}
              onBlur={() => setPeek(null)}
            >
              <span className="w-4 text-right font-mono text-sm text-quiet">{number}</span>
              {result ? <StatusMark status={result.status} /> : <span className="w-3.5 text-quiet">·</span>}
            </button>
          </li>
        ))}
      </ul>
      <div ref={setCard} className="absolute right-full top-2 z-20 mr-2" />
      {card &&
        shown &&
        createPortal(
          <RequirementCard id={shown} assignment={assignment} report={report} chosen={chosen} {...rest} />,
          card,
        )}
    </div>
  );
}

/** The sum at the head of a rail. */
export function RailSum({ earned, outOf }: { earned: number; outOf: number }) {
  return (
    <p className="mb-1 border-b border-rule pb-2 text-center leading-tight">
      <b className="block text-lg">{figure(earned)}</b>
      <span className="font-mono text-xs text-quiet">of {figure(outOf)}</span>
    </p>
  );
}
