import type { Criterion } from '@ichnograph/core';
import { RadioGroup } from 'radix-ui';
import { useEffect, useRef, useState } from 'react';
import { figure } from '../common/figures';
import { givePage } from '../common/keys';

type OnJudge = (level: number | null) => Promise<unknown>;

/**
 * Criteria with their levels: arrows choose among them, Enter sets one, and takes it back where it is set; a figure sets the
 * level in that place and goes on to the next criterion.
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
  onJudge?: ((criterion: string, level: number | null) => Promise<unknown>) | undefined;
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

/** Where the keyboard comes into a criterion: at the level it has, else at its first. */
export const wayInto = (group: Element | null): HTMLElement | null =>
  group?.querySelector<HTMLElement>('[role=radio][aria-checked=true]') ?? group?.querySelector('[role=radio]') ?? null;

/** Where the focus goes after a criterion: into the next one, or, after the last, into its own. */
const nextOf = (group: HTMLElement | null): HTMLElement | null =>
  wayInto(group?.nextElementSibling?.matches('[data-criterion]') ? group.nextElementSibling : group);

/** How long an arrow may go on to the next level before the one it stands on is given, milliseconds. */
const REST_MS = 700;

/**
 * The level that arrows have come to: shown at once, given when the hand rests or leaves, so that none that was only passed
 * is ever given.
 */
function usePassing(level: number | null, onJudge: OnJudge | undefined) {
  const [wanted, want] = useState<number | null>(null);
  const isGiving = useRef(false);
  const give = async (chosen: number | null): Promise<void> => {
    if (!onJudge || chosen === level) return want(null);
    want(chosen);
    isGiving.current = true;
    await onJudge(chosen);
    isGiving.current = false;
    want(null);
  };
  const settle = (): void => {
    if (wanted !== null && !isGiving.current) void give(wanted);
  };
  const latest = useRef(settle);
  useEffect(() => {
    latest.current = settle;
  });
  useEffect(() => {
    if (wanted === null) return;
    const timer = setTimeout(() => latest.current(), REST_MS);
    return () => clearTimeout(timer);
  }, [wanted]);
  return { shown: wanted ?? level, pass: want, give, settle };
}

function Levels({
  criterion: { name, levels },
  level,
  onJudge,
}: {
  criterion: Criterion;
  level: number | null;
  onJudge?: OnJudge | undefined;
}) {
  const group = useRef<HTMLDivElement>(null);
  const byArrow = useRef(false);
  const { shown, pass, give, settle } = usePassing(level, onJudge);
  return (
    <RadioGroup.Root
      ref={group}
      aria-label={name}
      className="border-b border-rule px-3.5 py-2"
      data-criterion
      data-judged={level !== null}
      disabled={!onJudge}
      value={shown === null ? '' : String(shown)}
      onValueChange={(value) => {
        if (!byArrow.current) void give(Number(value));
      }}
      onPointerDown={() => (byArrow.current = false)}
      onBlur={({ relatedTarget }) => {
        if (!group.current?.contains(relatedTarget)) settle();
      }}
    >
      <p className="words mb-1 flex items-baseline justify-between gap-2">
        <span className="font-semibold">{name}</span>
        {level === null && <span className="shrink-0 text-sm text-indigo">to judge</span>}
      </p>
      <div className="grid gap-1">
        {levels.map((one, i) => (
          <RadioGroup.Item
            key={i}
            value={String(i)}
            title={one.description}
            className={`flex items-baseline gap-2 rounded-sm border px-2 py-1 text-left disabled:cursor-default ${shown === i ? 'border-action bg-wash font-semibold' : 'border-rule bg-white enabled:hover:bg-canvas'} disabled:text-ink`}
            onClick={() => {
              // What is pressed again is taken back; an arrow that comes by presses nothing.
              if (!byArrow.current && shown === i) void give(null);
            }}
            onKeyDown={(event) => {
              // With these a key is the page’s; the group would take every Enter.
              if (event.altKey || event.ctrlKey || event.metaKey) return givePage(event.nativeEvent);
              const figure = Number(event.key);
              if (onJudge && figure >= 1 && figure <= levels.length) {
                event.preventDefault();
                void give(figure - 1);
                nextOf(group.current)?.focus();
                return;
              }
              const by = { ArrowDown: 1, ArrowRight: 1, ArrowUp: -1, ArrowLeft: -1 }[event.key];
              byArrow.current = by !== undefined;
              // At once, and not a moment later as the group would by itself: the next key may come before that.
              if (by !== undefined && onJudge) {
                event.preventDefault();
                const next = (i + by + levels.length) % levels.length;
                group.current?.querySelectorAll<HTMLElement>('[role=radio]')[next]?.focus();
                pass(next);
              }
              // A radio button has no act for Enter of its own.
              if (onJudge && event.key === 'Enter') void give(level === i && shown === i ? null : i);
            }}
          >
            <span className="words min-w-0 flex-1">
              {one.name}
              {one.description && <span className="block text-sm font-normal text-quiet">{one.description}</span>}
            </span>
            <span className="font-mono text-sm">{figure(one.points)}</span>
          </RadioGroup.Item>
        ))}
      </div>
    </RadioGroup.Root>
  );
}
