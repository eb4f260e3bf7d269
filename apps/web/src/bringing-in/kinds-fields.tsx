import { normalForm } from '@ichnograph/core';
import type { KindsPut, Legend } from '@ichnograph/core';

/** Which kind of the legend a name of a kind stands for that the legend does not have. */
export function KindsFields({
  topics,
  links,
  legend,
  put,
  onPut,
}: {
  /** names of kinds that are not in the legend */
  topics: readonly string[];
  links: readonly string[];
  legend: Legend;
  put: KindsPut;
  onPut: (put: KindsPut) => void;
}) {
  if (topics.length + links.length === 0) return null;
  const field = (name: string, kinds: readonly { id: string; name: string }[]) => {
    const key = normalForm(name);
    return (
      <label key={name} className="flex items-center gap-2">
        <span className="words">“{name}” is</span>
        <select
          className="field w-auto py-1"
          value={put[key] ?? ''}
          onChange={({ target: { value } }) => {
            const { [key]: _before, ...others } = put;
            onPut(value === '' ? others : { ...others, [key]: value });
          }}
        >
          <option value="">told by its looks</option>
          {kinds.map((kind) => (
            <option key={kind.id} value={kind.id}>
              {kind.name}
            </option>
          ))}
        </select>
      </label>
    );
  };
  return (
    <fieldset className="flex flex-wrap items-center gap-x-4 gap-y-2">
      <legend className="mb-1 font-semibold">Kinds that are not in this legend</legend>
      {topics.map((name) => field(name, legend.topicKinds))}
      {links.map((name) => field(name, legend.linkKinds))}
    </fieldset>
  );
}
