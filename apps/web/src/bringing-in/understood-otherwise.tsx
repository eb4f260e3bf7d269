import type { Said } from '@ichnograph/formats';

/** What of a file was understood otherwise than it stands, line by line, and why. */
export function UnderstoodOtherwise({ said, className = '' }: { said: readonly Said[]; className?: string }) {
  return (
    <ul className={`list-disc overflow-y-auto pl-5 text-quiet ${className}`}>
      {said.map(({ about, reason }, i) => (
        <li key={i} className="words">
          {about}: {reason}
        </li>
      ))}
    </ul>
  );
}
