import { markWords, onScale, PLAIN_MARKS } from '@ichnograph/core';
import type { MarkRules } from '@ichnograph/core';
import { Button } from '../../ui/button';
import { Section } from '../section';
import { usePart, useSheet } from '../use-sheet';
import { Figure, OptionalRule, Percent, Pick, Rule } from './mark-blanks';
import { StructuralRule } from './structural-rule';

const SCALES = {
  points: 'points',
  percent: 'percent',
  named: 'names for thresholds',
  pass: 'passed or not',
} as const;
const IN_SIGHT = {
  points: 'the results with their points',
  states: 'the states alone, no points',
  nothing: 'nothing',
} as const;

/** How a mark comes of results, criteria and time. */
export function MarksSection() {
  const [part, change] = usePart('marks');
  const sheet = useSheet();
  const marks = part.marks ?? PLAIN_MARKS;
  const set = (fields: Partial<MarkRules>): void => change({ ...part, marks: { ...marks, ...fields } });
  const setScale = (fields: Partial<MarkRules['scale']>): void => set({ scale: { ...marks.scale, ...fields } });
  const required = sheet.requirements.requirements
    .filter(({ off, level }) => !off && level !== 'extra')
    .reduce((sum, { points }) => sum + points, 0);
  const criteria = sheet.criteria.criteria.reduce(
    (sum, { levels }) => sum + Math.max(0, ...levels.map(({ points }) => points)),
    0,
  );
  const { scale, late, propositions, structural = null } = marks;
  const outOf = required + criteria + (propositions?.points ?? 0) + (structural?.points ?? 0);
  return (
    <Section id="marks" title="How does the mark come about?">
      <p className="font-mono">
        {required} requirements + {criteria} criteria
        {propositions && ` + ${propositions.points} propositions`}
        {structural && ` + ${structural.points} structure`} = <strong>{outOf} points</strong>
      </p>
      <div className="mt-4 grid gap-3">
        <Rule>
          Shown as{' '}
          <Pick
            label="Scale"
            options={SCALES}
            value={scale.as}
            onChange={(as) =>
              setScale({
                as,
                ...(as === 'named' && !scale.thresholds && { thresholds: THRESHOLDS }),
                ...(as === 'pass' && scale.passAt === undefined && { passAt: 0.5 }),
              })
            }
          />
          {(scale.as === 'points' || scale.as === 'percent') && (
            <>
              {' '}
              with{' '}
              <Pick
                label="Decimals"
                options={{ 0: 'no decimals', 1: 'one decimal', 2: 'two decimals' }}
                value={`${scale.decimals ?? 1}`}
                onChange={(decimals) => setScale({ decimals: Number(decimals) as 0 | 1 | 2 })}
              />
            </>
          )}
          {scale.as === 'pass' && (
            <>
              {' '}
              at{' '}
              <Percent
                label="Share that passes"
                value={scale.passAt ?? 0.5}
                onChange={(passAt) => setScale({ passAt })}
              />{' '}
              of the points
            </>
          )}
          <span className="ml-2 text-sm text-quiet">
            Three quarters of the points read “{markWords(onScale({ sum: outOf * 0.75, outOf }, marks))}”.
          </span>
        </Rule>
        {scale.as === 'named' && (
          <ul className="ml-4 grid max-w-md gap-1.5">
            {(scale.thresholds ?? []).map(({ name, from }, i, all) => (
              <li key={i} className="flex items-center gap-2">
                <input
                  aria-label={`Name of threshold ${i + 1}`}
                  className="field py-1"
                  value={name}
                  maxLength={300}
                  onChange={({ target }) =>
                    setScale({ thresholds: all.map((one, at) => (at === i ? { ...one, name: target.value } : one)) })
                  }
                />
                from
                <Percent
                  label={`Share of threshold ${i + 1}`}
                  value={from}
                  onChange={(share) =>
                    setScale({ thresholds: all.map((one, at) => (at === i ? { ...one, from: share } : one)) })
                  }
                />
                <Button
                  small
                  look="quiet"
                  aria-label={`Remove threshold ${i + 1}`}
                  onClick={() => setScale({ thresholds: all.filter((_, at) => at !== i) })}
                >
                  ×
                </Button>
              </li>
            ))}
            <li>
              <Button
                small
                onClick={() => setScale({ thresholds: [...(scale.thresholds ?? []), { name: 'new', from: 1 }] })}
              >
                Add a threshold
              </Button>
            </li>
          </ul>
        )}
        <OptionalRule
          label="Take points off for handing in late"
          on={late !== null}
          onSwitch={(on) => set({ late: on ? { perDay: 0.1, most: 0.5 } : null })}
          otherwise="Handing in late costs nothing"
        >
          {late && (
            <>
              Late:{' '}
              <Percent
                label="Share for each day late"
                value={late.perDay}
                onChange={(perDay) => set({ late: { ...late, perDay } })}
              />{' '}
              of all points for every day begun, at most{' '}
              <Percent
                label="Share at the most"
                value={late.most}
                onChange={(most) => set({ late: { ...late, most } })}
              />
            </>
          )}
        </OptionalRule>
        <OptionalRule
          label="Judge single propositions"
          on={propositions !== null}
          onSwitch={(on) => set({ propositions: on ? { points: 10, full: 12 } : null })}
          otherwise="Single propositions are not judged"
        >
          {propositions && (
            <>
              Propositions you judge sound give up to{' '}
              <Figure
                label="Points for propositions"
                value={propositions.points}
                least={0}
                onChange={(points) => set({ propositions: { ...propositions, points } })}
              />{' '}
              points, all of them for{' '}
              <Figure
                label="Propositions for all points"
                value={propositions.full}
                least={1}
                onChange={(full) => set({ propositions: { ...propositions, full } })}
              />{' '}
              sound ones
            </>
          )}
        </OptionalRule>
        <StructuralRule scoring={structural} onChange={(next) => set({ structural: next })} />
        <Rule>
          While they work, students see{' '}
          <Pick
            label="What students see while they work"
            options={IN_SIGHT}
            value={marks.whileWorking}
            onChange={(whileWorking) => set({ whileWorking })}
          />
        </Rule>
      </div>
    </Section>
  );
}

const THRESHOLDS = [
  { name: 'secure', from: 0.8 },
  { name: 'on the way', from: 0.5 },
  { name: 'begun', from: 0 },
];
