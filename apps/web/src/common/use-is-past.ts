import { useEffect, useState } from 'react';

/** A browser's timers reach no further, milliseconds. */
const FURTHEST = 2 ** 31 - 1;

/** Whether an instant is past; changes by itself when it passes while the page is open. */
export function useIsPast(instant: string | null): boolean {
  const [now, setNow] = useState(Date.now);
  const at = instant === null ? Infinity : Date.parse(instant);
  useEffect(() => {
    const left = at - Date.now();
    if (left > FURTHEST) return;
    const timer = setTimeout(() => setNow(Date.now()), Math.max(0, left) + 1);
    return () => clearTimeout(timer);
  }, [at]);
  return at <= now;
}
