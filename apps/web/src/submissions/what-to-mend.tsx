import { numbered, pointsOf, requirementSentence } from '@ichnograph/core';
import type { Judgement } from '@ichnograph/core';
import { figure } from '../common/figures';
import type { FrozenView } from '../map';
import { StatusMark } from '../ui/status-mark';

const MOST = 5;

/** What is still to be gained, what is worth most first. */
export function WhatToMend({ view, judgement }: { view: FrozenView; judgement: Judgement }) {
  const { report, assignment } = view.frozen;
  const open = numbered(report.results)
    .map((result) => ({ result, gain: result.outOf - pointsOf(result, judgement) }))
    .filter(({ result, gain }) => result.status !== 'not-applicable' && gain > 1e-9)
    .toSorted((a, b) => b.gain - a.gain)
    .slice(0, MOST);
  if (open.length === 0) return null;
  return (
    <section aria-label="What to mend" className="border-b border-rule px-3.5 py-2">
      <h2 className="caption mb-1">What to mend, what is worth most first</h2>
      <ol className="grid gap-0.5">
        {open.map(({ result, gain }) => {
          const requirement = assignment.requirements.find(({ id }) => id === result.id);
          if (!requirement) return null;
          return (
            <li key={result.id}>
              <button
                type="button"
                className="flex min-h-6 w-full items-baseline gap-2 text-left hover:underline"
                onClick={() => view.chooseRequirement(result.id)}
              >
                <span className="translate-y-0.5">
                  <StatusMark status={result.status} />
                </span>
                <span className="words flex-1">{requirementSentence(requirement, assignment)}</span>
                <span className="shrink-0 font-mono text-sm">+{figure(gain)}</span>
              </button>
            </li>
          );
        })}
      </ol>
    </section>
  );
}
