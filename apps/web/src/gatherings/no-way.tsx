import { useEffect, useState } from 'react';

/** For so long a way that is opening is no trouble. */
const PATIENCE_MS = 4000;

/** Says that nothing can come in just now, once that has lasted. */
export function NoWay({ isOpen }: { isOpen: boolean }) {
  const [isLong, setLong] = useState(false);
  useEffect(() => {
    if (isOpen) return;
    const timer = setTimeout(() => setLong(true), PATIENCE_MS);
    return () => {
      clearTimeout(timer);
      setLong(false);
    };
  }, [isOpen]);
  if (isOpen || !isLong) return null;
  return (
    <p role="status" className="border-l-4 border-ochre bg-ochre-wash px-3 py-2">
      There is no way to the server just now. What comes in is shown as soon as there is.
    </p>
  );
}
