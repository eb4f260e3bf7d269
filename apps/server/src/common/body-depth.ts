import type { NextFunction, Request, Response } from 'express';
import { Problem } from './problem.js';

/** Levels of a request's body; an assignment file has 20 of its own. Deeper ones break whoever walks them. */
const DEEPEST = 40;

/** Refuses a body nested deeper than anything here needs, before anybody walks it. */
export function onlyShallow(request: Request, _response: Response, next: NextFunction): void {
  next(
    isDeeper(request.body, DEEPEST) ? new Problem(400, 'Refused', 'That is nested too deep to be taken.') : undefined,
  );
}

/** Level by level, so that depth costs no stack. */
function isDeeper(body: unknown, most: number): boolean {
  let level: unknown[] = [body];
  for (let depth = 0; level.length > 0; depth++) {
    if (depth > most) return true;
    level = level.flatMap((value): unknown[] =>
      typeof value === 'object' && value !== null ? Object.values(value) : [],
    );
  }
  return false;
}
