import type { Status } from '@ichnograph/core';

export const STATUS_WORDS: Record<Status, string> = {
  met: 'met',
  partly: 'partly met',
  unmet: 'not met',
  judge: 'to judge',
  'not-applicable': 'does not apply',
};

/** A state by form and colour: never by colour alone. Its words are there for those who do not see it. */
export function StatusMark({ status, size = 14 }: { status: Status; size?: number }) {
  return (
    <svg
      role="img"
      aria-label={STATUS_WORDS[status]}
      width={size}
      height={size}
      viewBox="0 0 14 14"
      className="shrink-0"
    >
      {status === 'met' && (
        <>
          <rect width="14" height="14" fill="#1f6f63" />
          <path d="M3 7.2 6 10l5-6" fill="none" stroke="#fff" strokeWidth="1.8" />
        </>
      )}
      {status === 'partly' && (
        <>
          <rect x=".75" y=".75" width="12.5" height="12.5" fill="#fff" stroke="#8a5a00" strokeWidth="1.5" />
          <path d="M1 1h6v12H1z" fill="#8a5a00" />
        </>
      )}
      {status === 'unmet' && (
        <>
          <rect x=".75" y=".75" width="12.5" height="12.5" fill="#fff" stroke="#9e2b3f" strokeWidth="1.5" />
          <path d="m3 11 8-8" stroke="#9e2b3f" strokeWidth="1.5" />
        </>
      )}
      {status === 'judge' && (
        <>
          <rect x=".75" y=".75" width="12.5" height="12.5" fill="#fff" stroke="#3d4a9a" strokeWidth="1.5" />
          <path d="m3.4 10.6.6-2.3 5-5 1.7 1.7-5 5z" fill="#3d4a9a" />
        </>
      )}
      {status === 'not-applicable' && <path d="M3 7h8" stroke="#4d5867" strokeWidth="1.6" />}
    </svg>
  );
}
