import { useLayoutEffect, useMemo, useRef } from 'react';

/**
 * The same functions at every render, which call the newest ones. React Flow tells all its marks of each property that is
 * another than before; functions made anew at every render would cost a large map dearly.
 */
export function useSteady<T extends Record<string, (...args: never[]) => unknown>>(functions: T): T {
  const newest = useRef(functions);
  useLayoutEffect(() => {
    newest.current = functions;
  });
  return useMemo(
    () =>
      Object.fromEntries(
        Object.keys(newest.current).map((name) => [name, (...args: never[]) => newest.current[name]!(...args)]),
      ) as T,
    [],
  );
}
