import { useState } from 'react';
import { Link } from 'react-router';

/** What a map is worth by feel, in per cent: it counts nothing, and weights can be learned from it. */
export function ByFeel({
  value,
  publicationId,
  onGive,
}: {
  value: number | null;
  publicationId: string;
  onGive: (share: number | null) => void;
}) {
  const [typed, setTyped] = useState<string | null>(null);
  const shown = typed ?? (value === null ? '' : String(Math.round(value * 100)));
  const give = (): void => {
    if (typed === null) return;
    setTyped(null);
    const share = typed.trim() === '' ? null : Number(typed) / 100;
    if (share !== value) onGive(share);
  };
  return (
    <details className="px-3.5 pt-3 text-sm" open={value !== null}>
      <summary className="cursor-pointer text-action underline">By feel</summary>
      <label className="mt-1 flex items-center gap-2">
        I would give
        <input
          type="number"
          className="field w-20 py-0.5 font-mono"
          min={0}
          max={100}
          value={shown}
          onChange={({ target }) => setTyped(target.value)}
          onBlur={give}
          onKeyDown={(event) => {
            if (event.key === 'Enter') give();
          }}
        />
        per cent
      </label>
      <p className="mt-1 text-quiet">
        It counts nothing. From five maps on, the points that come nearest to your feeling can be{' '}
        <Link className="text-action underline" to={`/class/${publicationId}/weights`}>
          learned
        </Link>
        .
      </p>
    </details>
  );
}
