import type { Box, Point, Polyline } from './points.js';

/** Whether a polyline has a point inside a box. */
export function entersBox({ points: line }: Polyline, box: Box): boolean {
  for (let i = 1; i < line.length; i++) if (segmentEnters(line[i - 1]!, line[i]!, box)) return true;
  return false;
}

/** Whether some of the segment ab is strictly inside a box (Liang and Barsky, 1984); one shrunk to nothing has no inside. */
export function segmentEnters(a: Point, b: Point, { left, top, right, bottom }: Box): boolean {
  if (right <= left || bottom <= top) return false;
  const dx = b.x - a.x;
  const dy = b.y - a.y;
  if (dx === 0 && !(left < a.x && a.x < right)) return false;
  if (dy === 0 && !(top < a.y && a.y < bottom)) return false;
  let enter = 0;
  let leave = 1;
  if (dx !== 0) {
    const t = (left - a.x) / dx;
    const u = (right - a.x) / dx;
    enter = Math.max(enter, Math.min(t, u));
    leave = Math.min(leave, Math.max(t, u));
  }
  if (dy !== 0) {
    const t = (top - a.y) / dy;
    const u = (bottom - a.y) / dy;
    enter = Math.max(enter, Math.min(t, u));
    leave = Math.min(leave, Math.max(t, u));
  }
  return enter < leave;
}

export const boxesMeet = (a: Box, b: Box): boolean =>
  a.left <= b.right && b.left <= a.right && a.top <= b.bottom && b.top <= a.bottom;
