import { BRANCH_FILLS, contrast } from '@ichnograph/core';
import { DIMMED } from './dimmed';

const CANVAS = '#f4f5f1';
const parts = (hex: string): number[] => [1, 3, 5].map((at) => parseInt(hex.slice(at, at + 2), 16));
/** A colour as it is seen when it is dimmed over the canvas. */
const seen = (hex: string): string => {
  const under = parts(CANVAS);
  const mixed = parts(hex).map((part, i) => Math.round(part * DIMMED + under[i]! * (1 - DIMMED)));
  return `#${mixed.map((part) => part.toString(16).padStart(2, '0')).join('')}`;
};

test.each(['#ffffff', '#d7e7ec', '#e3ddf2', '#f6dcd2', '#ebe7d6', '#cfe0dc', ...BRANCH_FILLS])(
  'words on %s are read when they are dimmed, and are seen to be',
  (fill) => {
    for (const ink of ['#1a1a1a', '#16202e']) expect(contrast(seen(ink), seen(fill))).toBeGreaterThanOrEqual(4.5);
    expect(contrast(seen('#1a1a1a'), seen(fill))).toBeLessThan(contrast('#1a1a1a', fill) * 0.6);
  },
);
