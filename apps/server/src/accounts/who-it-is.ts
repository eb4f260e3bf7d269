import type { NextFunction, Request, Response } from 'express';
import type { SessionsService, SignedIn } from './sessions.service.js';
import { SESSION_COOKIE } from './sessions.service.js';

/** A cookie's token; whatever else the cookie may have been read as is none. */
export const tokenOf = (request: Request): string | undefined => {
  const token = (request.cookies as Record<string, unknown>)[SESSION_COOKIE];
  return typeof token === 'string' ? token : undefined;
};

/** Finds out who asks, before anything of what they send is read. */
export const whoItIs =
  (sessions: SessionsService) =>
  (request: Request & { signedIn?: SignedIn }, _response: Response, next: NextFunction): void => {
    sessions.find(tokenOf(request)).then(
      (signedIn) => {
        if (signedIn) request.signedIn = signedIn;
        next();
      },
      (error: unknown) => next(error),
    );
  };
