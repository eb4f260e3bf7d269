/** A choice of a few views, one at a time. */
export function Segments<T extends string>({
  label,
  options,
  value,
  onChange,
}: {
  label: string;
  options: readonly T[];
  value: T;
  onChange: (value: T) => void;
}) {
  return (
    <div role="group" aria-label={label} className="flex max-w-full shrink-0 flex-wrap border border-rule">
      {options.map((option) => (
        <button
          key={option}
          type="button"
          aria-pressed={option === value}
          onClick={() => onChange(option)}
          className={`px-2 py-1 font-semibold pointer-coarse:min-h-11 xl:px-3 ${option === value ? 'bg-ink text-white' : 'bg-white text-quiet hover:bg-canvas'}`}
        >
          {option}
        </button>
      ))}
    </div>
  );
}
