import { Link } from 'react-router';
import { CommittedFigure } from '../common/committed';

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
  return (
    <details className="px-3.5 pt-3 text-sm" open={value !== null}>
      <summary className="cursor-pointer text-action underline">By feel</summary>
      <label className="mt-1 flex items-center gap-2">
        I would give
        <CommittedFigure
          className="field w-20 py-0.5 font-mono"
          value={value === null ? undefined : Math.round(value * 100)}
          limits={{ least: 0, most: 100, mayBeEmpty: true }}
          live={false}
          onCommit={(percent) => onGive(percent === undefined ? null : percent / 100)}
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
