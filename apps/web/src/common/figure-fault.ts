/** What a figure may be. */
export interface Limits {
  least?: number | undefined;
  most?: number | undefined;
  whole?: boolean | undefined;
  mayBeEmpty?: boolean | undefined;
}

/**
 * Why what was typed is not taken as a figure; null where it is.
 * @param isBad whether the browser could not read it at all, and so gives no text
 */
export function figureFault(text: string, isBad: boolean, { least, most, whole, mayBeEmpty }: Limits): string | null {
  if (isBad) return 'That is no figure.';
  if (text.trim() === '') return mayBeEmpty ? null : 'A figure is wanted here.';
  const figure = Number(text);
  if (!Number.isFinite(figure)) return 'That is no figure.';
  if (least !== undefined && figure < least) return `It is ${least} at least.`;
  if (most !== undefined && figure > most) return `It is ${most} at most.`;
  return whole && !Number.isInteger(figure) ? 'Only whole figures are taken here.' : null;
}
