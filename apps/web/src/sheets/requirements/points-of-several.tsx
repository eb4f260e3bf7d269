import { sharedPoints } from '@ichnograph/core';
import type { SheetRequirement } from '@ichnograph/core';
import { Popover } from 'radix-ui';
import { useState } from 'react';
import type { ReactNode } from 'react';
import { tell } from '../../common/told';
import { Button } from '../../ui/button';

const MOST = 1000;
const WAYS = { each: 'Each gets', together: 'Together they get' } as const;

/**
 * The points of several requirements set in one act: so many each, or so many in all, shared.
 * @param trigger the button it opens from
 */
export function PointsOfSeveral({
  of,
  members,
  trigger,
  change,
}: {
  /** what they are, within a sentence */
  of: string;
  members: readonly SheetRequirement[];
  trigger: ReactNode;
  change: (make: (all: SheetRequirement[]) => SheetRequirement[]) => void;
}) {
  const [open, setOpen] = useState(false);
  const [way, setWay] = useState<keyof typeof WAYS>('each');
  const [typed, type] = useState('');
  const figure = typed.trim() === '' ? NaN : Number(typed.replace(',', '.'));
  const isFit = figure >= 0 && figure <= (way === 'each' ? MOST : MOST * members.length);
  const set = (): void => {
    if (!isFit) return;
    const shares = way === 'each' ? members.map(() => figure) : sharedPoints(figure, members.length);
    const points = new Map(members.map(({ id }, i) => [id, shares[i]!]));
    const before = new Map(members.map((one) => [one.id, one.points]));
    const give = (given: ReadonlyMap<string, number>): void =>
      change((all) => all.map((one) => ({ ...one, points: given.get(one.id) ?? one.points })));
    give(points);
    tell(`The points of ${of} are set: ${way === 'each' ? `${figure} each` : `${figure} in all`}.`, () => give(before));
    setOpen(false);
    type('');
  };
  return (
    <Popover.Root open={open} onOpenChange={setOpen}>
      <Popover.Trigger asChild>{trigger}</Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          align="end"
          sideOffset={6}
          collisionPadding={8}
          aria-label={`Points of ${of}`}
          className="z-40 w-72 border border-ink bg-paper p-3 text-base font-normal normal-case tracking-normal"
        >
          <form
            className="grid gap-2"
            onSubmit={(event) => {
              event.preventDefault();
              set();
            }}
          >
            <p className="words font-semibold">
              {members.length === 1 ? 'One requirement' : `${members.length} requirements`}
            </p>
            {(Object.keys(WAYS) as (keyof typeof WAYS)[]).map((one) => (
              <label key={one} className="flex items-center gap-2">
                <input
                  type="radio"
                  className="accent-action"
                  checked={way === one}
                  onChange={() => setWay(one)}
                  name="way"
                />
                {WAYS[one]}
              </label>
            ))}
            <label className="flex items-center gap-2">
              <input
                autoFocus
                className="field w-24 text-right font-mono"
                inputMode="decimal"
                aria-label="Points"
                aria-invalid={typed !== '' && !isFit}
                value={typed}
                onChange={({ target }) => type(target.value)}
              />
              points
            </label>
            {typed !== '' && !isFit && <p className="text-sm text-madder">A figure from 0 to {MOST} for each.</p>}
            <div>
              <Button type="submit" look="action" disabled={!isFit}>
                Set them
              </Button>
            </div>
          </form>
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
