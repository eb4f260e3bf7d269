import { Catch, HttpException } from '@nestjs/common';
import type { ArgumentsHost, ExceptionFilter } from '@nestjs/common';
import type { ProblemDetails } from '@ichnograph/contract';
import type { Response } from 'express';
import type { Logger } from 'pino';
import { briefly } from './briefly.js';
import { NoConnection } from './patience.js';
import { Problem } from './problem.js';

const SENTENCES: Record<number, string> = {
  400: 'The request could not be understood.',
  404: 'There is nothing at this address.',
  413: 'That is too large to be taken. A file may have 10 MiB, a map 8 MiB, anything else 1 MiB.',
  415: 'That came in a form that is not taken here: send it as it is, not compressed.',
  429: 'That was too often. Wait a minute, then try again.',
};

/** Gives every error the one shape. What nobody expected is logged in full and told as one sentence. */
@Catch()
export class ProblemFilter implements ExceptionFilter {
  constructor(private readonly logger: Logger) {}

  catch(error: unknown, host: ArgumentsHost): void {
    const response = host.switchToHttp().getResponse<Response>();
    const problem = this.problemOf(error);
    if (response.headersSent) return;
    response.status(problem.status).type('application/problem+json').send(JSON.stringify(problem));
  }

  private problemOf(error: unknown): ProblemDetails {
    if (error instanceof Problem) return error.getResponse() as ProblemDetails;
    const status = error instanceof HttpException ? error.getStatus() : statusOf(error);
    if (status < 500) {
      return { type: 'about:blank', title: 'Refused', status, detail: SENTENCES[status] ?? 'The request was refused.' };
    }
    const crowded = error instanceof NoConnection;
    const unreachable = crowded || isDatabaseGone(error);
    // A bug's stack is worth its lines; that the database is away is one line, as often as somebody asks.
    if (unreachable)
      this.logger.warn(
        briefly(error),
        crowded ? 'a request waited too long for the database' : 'a request failed: the database is away',
      );
    else this.logger.error({ ...briefly(error), stack: stackOf(error) }, 'a request failed');
    return {
      type: 'about:blank',
      title: 'Server trouble',
      status: unreachable ? 503 : 500,
      detail: crowded
        ? 'Too many people want something at this very moment. What was saved is safe; try again in a moment.'
        : unreachable
          ? 'The database does not answer just now. What was saved is safe; try again in a moment.'
          : 'Something went wrong on the server. What was saved is safe; try again.',
    };
  }
}

/** Where it broke: the stack without the message, which may hold a whole statement with its values. */
const stackOf = (error: unknown): string[] =>
  error instanceof Error
    ? (error.stack ?? '')
        .split('\n')
        .filter((line) => /^\s+at /.test(line))
        .slice(0, 8)
        .map((line) => line.trim())
    : [];

/** Body parsers throw plain errors that carry a status. */
const statusOf = (error: unknown): number => {
  const status = (error as { status?: unknown } | null)?.status;
  return typeof status === 'number' && status >= 400 && status < 500 ? status : 500;
};

const isDatabaseGone = (error: unknown): boolean => {
  const code = (error as { code?: unknown } | null)?.code;
  return (
    typeof code === 'string' &&
    [
      'ECONNREFUSED',
      'ENOENT',
      'ECONNRESET',
      'PROTOCOL_CONNECTION_LOST',
      'ER_SERVER_SHUTDOWN',
      'EPIPE',
      'ER_CONNECTION_KILLED',
    ].includes(code)
  );
};
