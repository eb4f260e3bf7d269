import type { Wish, Wishes } from '@ichnograph/formats';
import { Choice } from '../ui/choice';

const PAPERS = { A4: 'a4', A3: 'a3', Letter: 'letter' } as const;
type PaperName = keyof typeof PAPERS;
const SCALES = { 'as drawn': 1, 'twice as large': 2, 'four times': 4 } as const;
type ScaleName = keyof typeof SCALES;

const nameFor = <N extends string, V>(names: Readonly<Record<N, V>>, value: V): N =>
  (Object.keys(names) as N[]).find((name) => names[name] === value)!;

/** Whether it is there or not, in words. */
const FLAGS = {
  block: 'With the title block below',
  clear: 'Without a white ground',
  tiles: 'At full size, over several sheets',
  grey: 'Grey',
} as const satisfies Partial<Record<Wish, string>>;

/** How a file can be wanted otherwise. */
export function WishesFields({
  of,
  wishes,
  onChange,
}: {
  of: readonly Wish[];
  wishes: Wishes;
  onChange: (wishes: Wishes) => void;
}) {
  const flags = (Object.keys(FLAGS) as (keyof typeof FLAGS)[]).filter((name) => of.includes(name));
  if (flags.length === 0 && !of.includes('paper') && !of.includes('scale')) return null;
  return (
    <div className="grid gap-2 border-t border-rule pt-3 sm:grid-cols-2">
      {of.includes('paper') && (
        <Choice<PaperName>
          label="Paper"
          options={Object.keys(PAPERS) as PaperName[]}
          value={nameFor(PAPERS, wishes.paper ?? 'a4')}
          onChange={(name) => onChange({ ...wishes, paper: PAPERS[name] })}
        />
      )}
      {of.includes('scale') && (
        <Choice<ScaleName>
          label="Size"
          options={Object.keys(SCALES) as ScaleName[]}
          value={nameFor(SCALES, wishes.scale ?? 1)}
          onChange={(name) => onChange({ ...wishes, scale: SCALES[name] })}
        />
      )}
      {flags.map((name) => (
        <label key={name} className="flex items-center gap-2">
          <input
            type="checkbox"
            checked={wishes[name] ?? false}
            onChange={({ target }) => onChange({ ...wishes, [name]: target.checked })}
          />
          {FLAGS[name]}
        </label>
      ))}
    </div>
  );
}
