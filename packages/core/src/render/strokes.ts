import type { Dash } from '../map/types.js';

/** SVG dash lengths of a stroke, in units of its width; null for a solid one. */
export function dashLengths({ dash, width }: { dash: Dash; width: number }): string | null {
  if (dash === 'dashed') return `${width * 2.2} ${width * 1.4}`;
  return dash === 'dotted' ? `0.1 ${width * 2}` : null;
}

export function dashArray(style: { dash: Dash; width: number }): string {
  const lengths = dashLengths(style);
  return lengths ? ` stroke-dasharray="${lengths}"${style.dash === 'dotted' ? ' stroke-linecap="round"' : ''}` : '';
}
