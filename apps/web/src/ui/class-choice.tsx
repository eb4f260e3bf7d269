/** Which class, of some. */
export function ClassChoice({
  label,
  classes,
  value,
  autoFocus = false,
  onChange,
}: {
  label: string;
  classes: readonly { id: string; name: string }[];
  value: string;
  /** what a dialog puts the focus on */
  autoFocus?: boolean;
  onChange: (id: string) => void;
}) {
  return (
    <label className="block">
      <span className="mb-1 block font-semibold">{label}</span>
      <select
        className="field"
        {...(autoFocus && { 'data-autofocus': true })}
        value={value}
        onChange={({ target }) => onChange(target.value)}
      >
        {classes.map(({ id, name }) => (
          <option key={id} value={id}>
            {name}
          </option>
        ))}
      </select>
    </label>
  );
}
