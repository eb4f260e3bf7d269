import type { ReactNode } from 'react';
import { CommittedFigure } from '../../common/committed';

/** A line of how a mark comes about; its blanks are filled in where they stand. */
export const Rule = ({ children }: { children: ReactNode }) => <div className="leading-8">{children}</div>;

/** A line that holds only where it is switched on; else it says what holds instead. */
export const OptionalRule = ({
  label,
  on,
  onSwitch,
  otherwise,
  children,
}: {
  label: string;
  on: boolean;
  onSwitch: (on: boolean) => void;
  otherwise: string;
  children: ReactNode;
}) => (
  <Rule>
    <input
      type="checkbox"
      aria-label={label}
      className="mr-2 accent-action"
      checked={on}
      onChange={({ target }) => onSwitch(target.checked)}
    />
    {on ? children : otherwise}
  </Rule>
);

const BLANK =
  'rounded-sm border-b border-action bg-wash px-1.5 py-0.5 font-semibold text-action-hover hover:bg-[#d3e4df]';

export function Pick<T extends string>({
  label,
  options,
  value,
  onChange,
}: {
  label: string;
  options: Readonly<Record<T, string>>;
  value: NoInfer<T>;
  onChange: (value: T) => void;
}) {
  return (
    <select aria-label={label} className={BLANK} value={value} onChange={({ target }) => onChange(target.value as T)}>
      {(Object.entries(options) as [T, string][]).map(([id, words]) => (
        <option key={id} value={id}>
          {words}
        </option>
      ))}
    </select>
  );
}

export function Figure({
  label,
  value,
  least = 0,
  most = 1000,
  onChange,
}: {
  label: string;
  value: number;
  least?: number;
  most?: number;
  onChange: (value: number) => void;
}) {
  return (
    <CommittedFigure
      aria-label={label}
      className={`w-16 text-right font-mono ${BLANK}`}
      value={value}
      limits={{ least, most }}
      onCommit={(figure = least) => onChange(figure)}
    />
  );
}

/** A share, shown and typed as percent. */
export const Percent = ({
  label,
  value,
  onChange,
}: {
  label: string;
  value: number;
  onChange: (share: number) => void;
}) => (
  <>
    <Figure
      label={`${label}, percent`}
      value={Math.round(value * 10000) / 100}
      most={100}
      onChange={(percent) => onChange(percent / 100)}
    />
    %
  </>
);
