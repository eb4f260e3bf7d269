import type { ReactNode } from 'react';

/** A quiet sentence about what is beside it: what is missing, or cannot work. */
export function Remark({ children, grave = false }: { children: ReactNode; grave?: boolean }) {
  return (
    <p
      className={`words mt-1 border-l-2 pl-2 text-sm ${grave ? 'border-madder text-madder' : 'border-ochre text-ochre'}`}
    >
      {children}
    </p>
  );
}
