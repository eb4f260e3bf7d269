import type { IncomingHttpHeaders } from 'node:http';
import type { NextFunction, Request, Response } from 'express';
import { forbidden } from './problem.js';

/** Whether a request that says where it comes from comes from this very address. */
export function sameOrigin({ origin, host }: IncomingHttpHeaders): boolean {
  if (origin === undefined) return true;
  try {
    return new URL(origin).host === host;
  } catch {
    return false;
  }
}

/** Refuses changes that another site's page sends with a person's cookie. */
export function onlySameOrigin(request: Request, _response: Response, next: NextFunction): void {
  const reads = ['GET', 'HEAD', 'OPTIONS'].includes(request.method);
  next(
    reads || sameOrigin(request.headers)
      ? undefined
      : forbidden('This request came from another site and was refused.'),
  );
}
