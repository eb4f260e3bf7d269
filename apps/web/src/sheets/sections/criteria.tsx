import { announce } from '../../common/announcer';
import type { Criterion } from '@ichnograph/core';
import { Plus } from 'lucide-react';
import { CommittedFigure, CommittedInput } from '../../common/committed';
import { focusIn } from '../../common/focus-on';
import { Button } from '../../ui/button';
import { Section } from '../section';
import { takeOut } from '../../common/take-out';
import { useNewId, usePart } from '../use-sheet';
import { ListMenu } from '../../legends';
import { moved, placeAloud } from '../../common/lists';

const LEVELS = [
  { name: 'not yet', points: 0, description: '' },
  { name: 'in parts', points: 2, description: '' },
  { name: 'throughout', points: 4, description: '' },
];

/** What the teacher judges, each with its levels. */
export function CriteriaSection() {
  const [{ criteria }, change] = usePart('criteria');
  const newId = useNewId();
  const setAll = (make: (all: Criterion[]) => Criterion[]): void =>
    change((before) => ({ ...before, criteria: make(before.criteria) }));
  const set = (id: string, make: (one: Criterion) => Partial<Criterion>): void =>
    setAll((all) => all.map((one) => (one.id === id ? { ...one, ...make(one) } : one)));
  return (
    <Section
      id="criteria"
      title="What will you judge yourself?"
      lead="What no rule can see. You choose a level of each while you mark."
      actions={
        <Button
          onClick={() => {
            const id = newId(criteria, 'c');
            focusIn(id);
            setAll((all) => [...all, { id, name: `Criterion ${all.length + 1}`, levels: LEVELS }]);
          }}
        >
          <Plus aria-hidden size={14} />
          Add a criterion
        </Button>
      }
    >
      {criteria.length === 0 && <p className="text-quiet">Nothing: the requirements alone make the mark.</p>}
      {criteria.map((criterion, i) => (
        <fieldset key={criterion.id} data-made={criterion.id} className="card mb-3 p-3">
          <legend className="sr-only">{criterion.name}</legend>
          <div className="mb-2 flex items-center gap-2">
            <CommittedInput
              aria-label="Name of the criterion"
              className="field font-semibold"
              maxLength={300}
              value={criterion.name}
              live
              onCommit={(typed) => {
                const name = typed.trim();
                if (name === '') return 'A criterion needs a name.';
                set(criterion.id, () => ({ name }));
                return null;
              }}
            />
            <ListMenu
              name={criterion.name}
              onMove={(by) => {
                setAll((all) => moved(all, i, by));
                announce(placeAloud(criterion.name, i, by, criteria.length));
              }}
              onRemove={() =>
                takeOut(criteria, ({ id }) => id === criterion.id, {
                  change: setAll,
                  keyOf: ({ id }) => id,
                  words: `“${criterion.name}” is removed.`,
                })
              }
            />
          </div>
          <ul className="grid gap-1.5">
            {criterion.levels.map((level, at) => {
              const setLevel = (fields: Partial<typeof level>): void =>
                set(criterion.id, ({ levels }) => ({
                  levels: levels.map((one, which) => (which === at ? { ...one, ...fields } : one)),
                }));
              return (
                <li
                  key={at}
                  data-made={`${criterion.id} ${at}`}
                  className="grid grid-cols-[9rem_5rem_1fr_2rem] items-center gap-2"
                >
                  <input
                    aria-label={`Name of level ${at + 1} of ${criterion.name}`}
                    className="field py-1"
                    value={level.name}
                    maxLength={300}
                    onChange={({ target }) => setLevel({ name: target.value })}
                  />
                  <CommittedFigure
                    aria-label={`Points of level ${at + 1} of ${criterion.name}`}
                    className="field py-1 font-mono"
                    value={level.points}
                    limits={{ least: 0, most: 1000 }}
                    onCommit={(points = 0) => setLevel({ points })}
                  />
                  <input
                    aria-label={`What level ${at + 1} of ${criterion.name} looks like`}
                    className="field py-1"
                    value={level.description}
                    maxLength={2000}
                    placeholder="What it looks like"
                    onChange={({ target }) => setLevel({ description: target.value })}
                  />
                  <Button
                    small
                    look="quiet"
                    aria-label={`Remove level ${at + 1} of ${criterion.name}`}
                    disabled={criterion.levels.length < 2}
                    onClick={() =>
                      set(criterion.id, ({ levels }) => ({ levels: levels.filter((_, which) => which !== at) }))
                    }
                  >
                    ×
                  </Button>
                </li>
              );
            })}
          </ul>
          <Button
            small
            className="mt-2"
            disabled={criterion.levels.length >= 9}
            onClick={() => {
              focusIn(`${criterion.id} ${criterion.levels.length}`);
              set(criterion.id, ({ levels }) => ({
                levels: [
                  ...levels,
                  { name: `level ${levels.length + 1}`, points: (levels.at(-1)?.points ?? 0) + 2, description: '' },
                ],
              }));
            }}
          >
            Add a level
          </Button>
        </fieldset>
      ))}
    </Section>
  );
}
