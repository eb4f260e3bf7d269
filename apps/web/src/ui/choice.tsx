/** One of a few words, beside its label. Without a value several are chosen that differ. */
export function Choice<T extends string>({
  label,
  options,
  value,
  onChange,
}: {
  label: string;
  options: readonly T[];
  value: T | undefined;
  onChange: (value: T) => void;
}) {
  return (
    <label className="grid grid-cols-[6rem_1fr] items-center gap-2">
      {label}
      <select className="field py-1" value={value ?? ''} onChange={({ target }) => onChange(target.value as T)}>
        {value === undefined && (
          <option value="" disabled>
            several
          </option>
        )}
        {options.map((option) => (
          <option key={option}>{option}</option>
        ))}
      </select>
    </label>
  );
}
