import { NOVAK_GOWIN, readHeld, scoredStructureOf, structuralScoreOf } from '@ichnograph/core';
import type { StructuralScoring } from '@ichnograph/core';
import { Fragment, useMemo } from 'react';
import { Button } from '../../ui/button';
import { useSheet, useWritten } from '../use-sheet';
import { Figure, OptionalRule } from './mark-blanks';

/** The classical scheme, on a scale of sixty. */
const PRESET: StructuralScoring = { points: 10, full: 60, ...NOVAK_GOWIN, exampleKinds: [] };
const WEIGHTS = [
  ['proposition', 'Weight of a sound sentence', ', each level '],
  ['level', 'Weight of a level', ', each cross-link '],
  ['crossLink', 'Weight of a cross-link', ', each example '],
  ['example', 'Weight of an example', '.'],
] as const;

/** Whether and how the structure of a map gives points. */
export function StructuralRule({
  scoring,
  onChange,
}: {
  scoring: StructuralScoring | null;
  onChange: (scoring: StructuralScoring | null) => void;
}) {
  return (
    <OptionalRule
      label="Score the structure"
      on={scoring !== null}
      onSwitch={(on) => onChange(on ? PRESET : null)}
      otherwise="The structure is not scored"
    >
      {scoring && <Scoring scoring={scoring} onChange={onChange} />}
    </OptionalRule>
  );
}

function Scoring({
  scoring,
  onChange,
}: {
  scoring: StructuralScoring;
  onChange: (scoring: StructuralScoring) => void;
}) {
  const { legend } = useSheet().legend;
  const { exampleKinds, full } = scoring;
  const set = (fields: Partial<StructuralScoring>): void => onChange({ ...scoring, ...fields });
  const reached = useReferenceScore(scoring);
  return (
    <>
      The structure gives up to{' '}
      <Figure label="Points for the structure" value={scoring.points} onChange={(points) => set({ points })} /> points,
      all of them for a score of{' '}
      <Figure
        label="Score for all points"
        value={full}
        least={1}
        most={10_000}
        onChange={(next) => set({ full: next })}
      />
      : each sound sentence{' '}
      {WEIGHTS.map(([weight, label, then]) => (
        <Fragment key={weight}>
          <Figure label={label} value={scoring[weight]} most={100} onChange={(value) => set({ [weight]: value })} />
          {then}
        </Fragment>
      ))}{' '}
      <span className="text-sm text-quiet">Weights as Novak and Gowin (1984) have them, to begin with.</span>
      {reached !== null && reached !== full && reached >= 1 && (
        <Button small look="quiet" className="ml-2" onClick={() => set({ full: reached })}>
          Your reference scores {reached}: ask for that
        </Button>
      )}
      <span role="group" aria-label="Kinds of examples" className="flex flex-wrap items-center gap-x-4">
        Examples are:
        {legend.topicKinds.map(({ id, name }) => (
          <label key={id} className="words flex items-center gap-1.5">
            <input
              type="checkbox"
              className="accent-action"
              checked={exampleKinds.includes(id)}
              onChange={({ target }) =>
                set({ exampleKinds: target.checked ? [...exampleKinds, id] : exampleKinds.filter((one) => one !== id) })
              }
            />
            {name}
          </label>
        ))}
      </span>
    </>
  );
}

/** What the reference would score were all it says judged sound; null where there is none. */
function useReferenceScore(scoring: StructuralScoring): number | null {
  const { assignment } = useWritten();
  return useMemo(() => {
    const { reference } = assignment;
    if (!reference) return null;
    const structure = scoredStructureOf(reference, assignment, scoring);
    return structuralScoreOf(readHeld(reference, assignment), structure, scoring, () => 'sound').score;
  }, [assignment, scoring]);
}
