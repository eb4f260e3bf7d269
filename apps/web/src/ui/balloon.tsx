import type { Status } from '@ichnograph/core';

export const STATUS_COLOURS: Record<Status, string> = {
  met: '#1f6f63',
  partly: '#8a5a00',
  unmet: '#9e2b3f',
  judge: '#3d4a9a',
  'not-applicable': '#4d5867',
};

/** The numbered ring that ties a line of the list to a place on the map. */
export function Balloon({ number, status, quiet = false }: { number: number; status?: Status; quiet?: boolean }) {
  const colour = quiet || !status ? '#4d5867' : STATUS_COLOURS[status];
  return (
    <span
      aria-hidden
      className="inline-flex h-5 w-5 shrink-0 items-center justify-center rounded-full border-[1.5px] bg-white font-mono text-xs leading-none"
      style={{ borderColor: colour, color: colour }}
    >
      {number}
    </span>
  );
}
