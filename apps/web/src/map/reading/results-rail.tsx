import { numbered, requirementSentence } from '@ichnograph/core';
import type { Assignment, Report } from '@ichnograph/core';
import { useMemo, useRef, useState } from 'react';
import type { KeyboardEvent, ReactNode } from 'react';
import { createPortal } from 'react-dom';
import { STATUS_WORDS, StatusMark } from '../../ui/status-mark';
import { figure } from '../../common/figures';
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
 * The requirements as a rail: a number and a state each. What one points at, or has chosen, opens as a card over the map. By
 * key one goes from a number into its card and on to the next number; Escape goes back to the number and closes the card.
 */
export function ResultsRail({ assignment, report, head, chosen, ...rest }: Props) {
  const [peek, setPeek] = useState<string | null>(null);
  const [card, setCard] = useState<HTMLDivElement | null>(null);
  const shown = peek ?? chosen;
  const sentences = useMemo(
    () => new Map(assignment.requirements.map((one) => [one.id, requirementSentence(one, assignment)])),
    [assignment],
  );
  const rows = numbered(assignment.requirements.map(({ id, type }, i) => ({ id, type, result: report?.results[i] })));
  const list = useRef<HTMLUListElement>(null);
  const buttonOf = (id: string): HTMLElement | null =>
    list.current?.querySelector(`[data-requirement="${CSS.escape(id)}"]`) ?? null;
  const onButtonKey = (event: KeyboardEvent, id: string): void => {
    const [first] = card ? reached(card) : [];
    if (event.key !== 'Tab' || event.shiftKey || shown !== id || !first) return;
    event.preventDefault();
    first.focus();
  };
  const onCardKey = (event: KeyboardEvent): void => {
    if (!card || !shown) return;
    const stops = reached(card);
    const at = stops.indexOf(document.activeElement as HTMLElement);
    const leaves = event.key === 'Tab' && (event.shiftKey ? at === 0 : at === stops.length - 1);
    if (event.key === 'Escape') {
      event.stopPropagation();
      buttonOf(shown)?.focus();
      if (chosen !== null) rest.onChoose(null);
      setPeek(null);
    } else if (leaves) {
      const next = rows[rows.findIndex(({ id }) => id === shown) + (event.shiftKey ? 0 : 1)];
      if (!next) return;
      event.preventDefault();
      buttonOf(next.id)?.focus();
    }
  };
  return (
    <div className="pb-3" onPointerLeave={() => setPeek(null)}>
      {head}
      <ul ref={list} className="grid">
        {rows.map(({ id, number, result }) => (
          <li key={id}>
            <button
              type="button"
              aria-pressed={chosen === id}
              data-requirement={id}
              aria-label={`Requirement ${number}${result ? `, ${STATUS_WORDS[result.status]}` : ''}: ${sentences.get(id)}`}
              className={`flex h-[27px] w-full pointer-coarse:h-11 items-center justify-center gap-1.5 ${chosen === id ? 'bg-ochre-wash' : 'hover:bg-canvas'}`}
              onClick={() => rest.onChoose(chosen === id ? null : id)}
              onPointerEnter={({ pointerType }) => {
                if (pointerType === 'mouse') setPeek(id);
              }}
              onFocus={() => setPeek(id)}
              onKeyDown={(event) => onButtonKey(event, id)}
              onBlur={({ relatedTarget }) => {
                // Within its card one is still at this requirement.
                if (!card?.contains(relatedTarget)) setPeek(null);
              }}
            >
              <span className="w-4 text-right font-mono text-sm text-quiet">{number}</span>
              {result ? <StatusMark status={result.status} /> : <span className="w-3.5 text-quiet">·</span>}
            </button>
          </li>
        ))}
      </ul>
      <div ref={setCard} data-card className="absolute right-full top-2 z-20 mr-2" />
      {card &&
        shown &&
        createPortal(
          <div
            onKeyDown={onCardKey}
            onBlur={({ currentTarget, relatedTarget }) => {
              if (!currentTarget.contains(relatedTarget)) setPeek(null);
            }}
          >
            <RequirementCard id={shown} assignment={assignment} report={report} chosen={chosen} {...rest} />
          </div>,
          card,
        )}
    </div>
  );
}

/** What Tab reaches in a part of the page, in its order. */
const reached = (part: Element): HTMLElement[] => [
  ...part.querySelectorAll<HTMLElement>('a[href], :is(button, input, select, textarea):not(:disabled), [tabindex="0"]'),
];

/** The sum at the head of a rail. */
export function RailSum({ earned, outOf }: { earned: number; outOf: number }) {
  return (
    <p className="mb-1 border-b border-rule pb-2 text-center leading-tight">
      <b className="block text-lg">{figure(earned)}</b>
      <span className="font-mono text-xs text-quiet">of {figure(outOf)}</span>
    </p>
  );
}
