import type { ReactNode } from 'react';

interface Column {
  name: ReactNode;
  className?: string;
  /** told, not seen: what stands below says it */
  unseen?: true;
}

/** A table with its head in small capitals over a line. In a narrow window it scrolls by itself. @param children its rows */
export function Table({
  columns,
  caption,
  className = 'w-full',
  children,
}: {
  columns: readonly (string | Column | false)[];
  caption?: ReactNode;
  className?: string;
  children: ReactNode;
}) {
  return (
    // Room for the ring of what has the focus: what scrolls cuts it off.
    <div className="-mx-1 overflow-x-auto px-1 pb-1">
      <table className={`text-left ${className}`}>
        {caption}
        <thead>
          <tr className="caption border-b border-ink">
            {columns.map((column, i) => {
              if (column === false) return null;
              const {
                name,
                className: own = '',
                unseen,
              }: Column = typeof column === 'string' ? { name: column } : column;
              return (
                <th key={i} scope="col" className={`py-1 font-semibold ${own}`}>
                  {unseen ? <span className="sr-only">{name}</span> : name}
                </th>
              );
            })}
          </tr>
        </thead>
        <tbody>{children}</tbody>
      </table>
    </div>
  );
}
