/**
 * Whether the database refused because a unique key is taken already.
 * @param table only for keys of this table; any when left out
 */
export function isTaken(error: unknown, table?: string): boolean {
  const { code, sql } = (error ?? {}) as { code?: unknown; sql?: unknown };
  return code === 'ER_DUP_ENTRY' && (table === undefined || String(sql).includes(`INTO \`${table}\``));
}

/** Does something that a unique key may refuse, and says that as a person should hear it. */
export async function unlessTaken<T>(work: Promise<T>, say: () => Error): Promise<T> {
  try {
    return await work;
  } catch (error) {
    throw isTaken(error) ? say() : error;
  }
}

/** Whether the database broke a transaction off because another stood in its way: done again, it will go through. */
export const isInTheWay = (error: unknown): boolean =>
  ['ER_LOCK_DEADLOCK', 'ER_LOCK_WAIT_TIMEOUT'].includes(String((error as { code?: unknown } | null)?.code));
