import type { PersonMark } from '@ichnograph/core';

/** A person's initials in their colour. */
export function Badge({ mark, title }: { mark: PersonMark; title?: string }) {
  return (
    <span
      title={title}
      className="inline-block min-w-6 rounded-sm px-1 text-center font-mono text-xs font-bold leading-5 text-white"
      style={{ background: mark.colour, outline: `1px solid #fff` }}
    >
      {mark.initials}
    </span>
  );
}
