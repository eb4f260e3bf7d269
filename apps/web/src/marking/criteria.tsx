import type { Criterion } from '@ichnograph/core';
import { useRef } from 'react';
import { figure } from '../common/figures';

/**
 * Criteria with their levels: arrows go from level to level, Enter sets one, and takes it back where it is set; a figure sets
 * the level in that place and goes on to the next criterion.
 */
export function Criteria({
  criteria,
  levelOf,
  onJudge,
}: {
  criteria: readonly Criterion[];
  /** the position of the level it has; null where it has none */
  levelOf: (criterion: string) => number | null;
  /** left out where the marks only are read */
  onJudge?: ((criterion: string, level: number | null) => void) | undefined;
}) {
  if (criteria.length === 0) return null;
  return (
    <section aria-label="Criteria" className="mt-4">
      <h2 className="caption px-3.5">Criteria</h2>
      {criteria.map((criterion) => (
        <Levels
          key={criterion.id}
          criterion={criterion}
          level={levelOf(criterion.id)}
          onJudge={onJudge && ((level) => onJudge(criterion.id, level))}
        />
      ))}
    </section>
  );
}

/** Where the focus goes after a criterion: the next one's level, or, after the last, its own. */
const nextOf = (group: HTMLElement | null): HTMLElement | null =>
  (group?.nextElementSibling?.matches('[data-criterion]')
    ? group.nextElementSibling
    : group
  )?.querySelector<HTMLElement>('[role=radio][tabindex="0"]') ?? null;

function Levels({
  criterion: { name, levels },
  level,
  onJudge,
}: {
  criterion: Criterion;
  level: number | null;
  onJudge?: ((level: number | null) => void) | undefined;
}) {
  const group = useRef<HTMLDivElement>(null);
  const step = (from: number, by: number): void => {
    const buttons = [...(group.current?.querySelectorAll<HTMLElement>('[role=radio]') ?? [])];
    buttons[(from + by + buttons.length) % buttons.length]?.focus();
  };
  return (
    <div
      ref={group}
      role="radiogroup"
      aria-label={name}
      className="border-b border-rule px-3.5 py-2"
      data-criterion
      data-judged={level !== null}
    >
      <p className="words mb-1 flex items-baseline justify-between gap-2">
        <span className="font-semibold">{name}</span>
        {level === null && <span className="shrink-0 text-sm text-indigo">to judge</span>}
      </p>
      <div className="grid gap-1">
        {levels.map((one, i) => (
          <button
            key={i}
            type="button"
            role="radio"
            aria-checked={level === i}
            tabIndex={i === (level ?? 0) ? 0 : -1}
            disabled={!onJudge}
            title={one.description}
            className={`flex items-baseline gap-2 rounded-sm border px-2 py-1 text-left disabled:cursor-default ${level === i ? 'border-action bg-wash font-semibold' : 'border-rule bg-white enabled:hover:bg-canvas'} disabled:text-ink`}
            onClick={() => onJudge?.(level === i ? null : i)}
            onKeyDown={(event) => {
              const figure = event.altKey || event.ctrlKey || event.metaKey ? NaN : Number(event.key);
              if (onJudge && figure >= 1 && figure <= levels.length) {
                event.preventDefault();
                if (level !== figure - 1) onJudge(figure - 1);
                nextOf(group.current)?.focus();
                return;
              }
              const by = { ArrowDown: 1, ArrowRight: 1, ArrowUp: -1, ArrowLeft: -1 }[event.key];
              if (by === undefined || event.altKey) return;
              event.preventDefault();
              step(i, by);
            }}
          >
            <span className="words min-w-0 flex-1">
              {one.name}
              {one.description && <span className="block text-sm font-normal text-quiet">{one.description}</span>}
            </span>
            <span className="font-mono text-sm">{figure(one.points)}</span>
          </button>
        ))}
      </div>
    </div>
  );
}
