export interface Point {
  x: number;
  y: number;
}
/** An upright box by its edges; y grows downward. */
export interface Box {
  left: number;
  top: number;
  right: number;
  bottom: number;
}

export const boxAround = (points: readonly Point[]): Box => {
  const box = { left: Infinity, top: Infinity, right: -Infinity, bottom: -Infinity };
  for (const { x, y } of points) {
    if (x < box.left) box.left = x;
    if (x > box.right) box.right = x;
    if (y < box.top) box.top = y;
    if (y > box.bottom) box.bottom = y;
  }
  return box;
};

/** A polyline with the box around it, which is asked for again and again. */
export interface Polyline {
  points: readonly Point[];
  box: Box;
}
export const polyline = (points: readonly Point[]): Polyline => ({ points, box: boxAround(points) });

interface Centred {
  x: number;
  y: number;
  width: number;
  height: number;
}

/** The box of a topic or picture, grown by `margin` units on every side (shrunk when negative). */
export const boxOf = ({ x, y, width, height }: Centred, margin = 0): Box => ({
  left: x - width / 2 - margin,
  top: y - height / 2 - margin,
  right: x + width / 2 + margin,
  bottom: y + height / 2 + margin,
});

export const holdsPoint = ({ left, top, right, bottom }: Box, { x, y }: Point): boolean =>
  x >= left && x <= right && y >= top && y <= bottom;

export const unionOf = (boxes: readonly Box[]): Box | null =>
  boxes.length === 0
    ? null
    : {
        left: Math.min(...boxes.map((box) => box.left)),
        top: Math.min(...boxes.map((box) => box.top)),
        right: Math.max(...boxes.map((box) => box.right)),
        bottom: Math.max(...boxes.map((box) => box.bottom)),
      };

/** A square root is exact by its standard; `Math.hypot` is each engine's own approximation, and many times slower. */
export const distance = (a: Point, b: Point): number => {
  const [x, y] = [b.x - a.x, b.y - a.y];
  return Math.sqrt(x * x + y * y);
};

export const lengthOf = (line: readonly Point[]): number => {
  let length = 0;
  for (let i = 1; i < line.length; i++) length += distance(line[i - 1]!, line[i]!);
  return length;
};

/** The point a share (0 to 1) of the way along a polyline; null for one of no points. */
export function pointAlong(line: readonly Point[], share: number): Point | null {
  let left = lengthOf(line) * share;
  for (let i = 1; i < line.length; i++) {
    const a = line[i - 1]!;
    const b = line[i]!;
    const step = distance(a, b);
    if (left <= step && step > 0) return { x: a.x + ((b.x - a.x) * left) / step, y: a.y + ((b.y - a.y) * left) / step };
    left -= step;
  }
  return line.at(-1) ?? null;
}

/** How far a point is from a segment, units. */
export function distanceToSegment(at: Point, a: Point, b: Point): number {
  const [x, y] = [b.x - a.x, b.y - a.y];
  const long = x * x + y * y;
  const along = long === 0 ? 0 : Math.min(1, Math.max(0, ((at.x - a.x) * x + (at.y - a.y) * y) / long));
  return distance(at, { x: a.x + along * x, y: a.y + along * y });
}

/** The share (0 to 1, whole hundredths) of the way along a line at which it comes nearest to a point. */
export function shareAt(line: readonly Point[], at: Point, parts = 100): number {
  let [nearest, share, before] = [Infinity, 0.5, 0];
  const whole = lengthOf(line) || 1;
  for (let i = 1; i < line.length; i++) {
    const [a, b] = [line[i - 1]!, line[i]!];
    const [x, y] = [b.x - a.x, b.y - a.y];
    const long = distance(a, b);
    const along = Math.min(1, Math.max(0, (x * (at.x - a.x) + y * (at.y - a.y)) / (long * long || 1)));
    const far = distance(at, { x: a.x + along * x, y: a.y + along * y });
    if (far < nearest) [nearest, share] = [far, (before + along * long) / whole];
    before += long;
  }
  return Math.round(share * parts) / parts;
}
