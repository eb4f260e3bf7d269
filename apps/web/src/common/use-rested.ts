import { useEffect, useState } from 'react';

/** A value once it has stood for a moment: what follows from it is not asked for at every keystroke. */
export function useRested<T>(value: T, ms = 400): T {
  const [rested, setRested] = useState(value);
  useEffect(() => {
    const timer = setTimeout(() => setRested(value), ms);
    return () => clearTimeout(timer);
  }, [value, ms]);
  return rested;
}
