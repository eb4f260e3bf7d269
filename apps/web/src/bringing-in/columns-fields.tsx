import type { ColumnName, Columns } from '@ichnograph/formats';
import { useState } from 'react';

const NAMES = { from: 'From', phrase: 'Phrase', to: 'To' } as const satisfies Partial<Record<ColumnName, string>>;
type Name = keyof typeof NAMES;
type Places = Partial<Record<Name, number>>;

/** Which column of a table holds what, where that is to be put right. */
export function ColumnsFields({
  head,
  onChange,
}: {
  head: readonly string[];
  onChange: (columns: Columns | undefined) => void;
}) {
  const [places, setPlaces] = useState<Places>({});
  const [isHeader, setIsHeader] = useState(true);
  const change = (next: Places, hasHeader: boolean): void => {
    setPlaces(next);
    setIsHeader(hasHeader);
    onChange(next.from === undefined ? undefined : columnsOf(next, head, hasHeader));
  };
  return (
    <fieldset className="flex flex-wrap items-center gap-3">
      <legend className="mb-1 font-semibold">Which column holds what</legend>
      {(Object.keys(NAMES) as Name[]).map((name) => (
        <label key={name} className="flex items-center gap-2">
          {NAMES[name]}
          <select
            className="field py-1"
            value={String(places[name] ?? '')}
            onChange={({ target: { value } }) => change(moved(places, name, value), isHeader)}
          >
            <option value="">{places.from === undefined ? 'found out' : 'none'}</option>
            {head.map((cell, i) => (
              <option key={i} value={i}>
                {i + 1} · {cell.trim().slice(0, 30)}
              </option>
            ))}
          </select>
        </label>
      ))}
      <label className="flex items-center gap-2">
        <input type="checkbox" checked={isHeader} onChange={({ target }) => change(places, target.checked)} />
        The first row names the columns
      </label>
    </fieldset>
  );
}

function moved(places: Places, name: Name, value: string): Places {
  const { [name]: _before, ...others } = places;
  return value === '' ? others : { ...others, [name]: Number(value) };
}

/** By name where the first row has them; by number it is data. */
function columnsOf(places: Places, head: readonly string[], hasHeader: boolean): Columns {
  return Object.fromEntries(
    Object.entries(places).map(([name, at]) => [name, hasHeader && head[at]!.trim() ? head[at]!.trim() : at + 1]),
  );
}
