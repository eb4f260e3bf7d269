/**
 * A fault as one line of the log: what it calls itself and the first 300 characters of what it says. An error of the
 * database carries the whole statement with its values, and a broken frame a stack; neither belongs in the log.
 */
export function briefly(fault: unknown): { fault: string; code?: string } {
  const { name, message, code } = (fault ?? {}) as { name?: unknown; message?: unknown; code?: unknown };
  const words =
    typeof message === 'string' ? `${typeof name === 'string' ? name : 'Error'}: ${message}` : String(fault);
  return {
    fault: words.replace(/\s+/g, ' ').slice(0, 300),
    ...(typeof code === 'string' && { code }),
  };
}
