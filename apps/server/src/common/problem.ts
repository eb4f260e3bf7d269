import { HttpException } from '@nestjs/common';
import type { ProblemDetails } from '@ichnograph/contract';

export type Place = { path: string; reason: string };

/** An expected failure with a sentence for a person. Answered as RFC 9457 problem details. */
export class Problem extends HttpException {
  constructor(status: number, title: string, detail: string, problems?: readonly Place[]) {
    const body: ProblemDetails = {
      type: 'about:blank',
      title,
      status,
      detail,
      ...(problems && { problems: [...problems] }),
    };
    super(body, status);
  }
}

/** What is not there and what a person may not see are the same answer. */
export const notFound = (what: string): Problem =>
  new Problem(404, 'Not found', `There is no such ${what}, or it is not yours to see.`);
export const conflict = (detail: string): Problem => new Problem(409, 'Not now', detail);
export const refused = (detail: string, problems?: readonly Place[]): Problem =>
  new Problem(422, 'Refused', detail, problems);
export const forbidden = (detail: string): Problem => new Problem(403, 'Not allowed', detail);
export const signedOut = (): Problem =>
  new Problem(401, 'Signed out', 'You are signed out. Sign in again; nothing that was saved is lost.');
