import { needFontsOf } from './han-fonts';
import { ACT_HEADER } from '@ichnograph/contract';
import type { ProblemDetails } from '@ichnograph/contract';

/** An error whose words are for a person. */
export class SaidError extends Error {
  override name = 'SaidError';
}

/** An answer that was an error: a sentence for a person, and the places that are wrong, if it named any. */
export class ApiError extends SaidError {
  override name = 'ApiError';
  constructor(readonly problem: ProblemDetails) {
    super(problem.detail);
  }

  get status(): number {
    return this.problem.status;
  }
}

const signedOutListeners = new Set<() => void>();
/** Told whenever an answer says that nobody is signed in any more. */
export const whenSignedOut = (listener: () => void): void => void signedOutListeners.add(listener);

const UNREACHABLE: ProblemDetails = {
  type: 'about:blank',
  title: 'No connection',
  status: 0,
  detail: 'The server does not answer. Check your connection, then try again. What was saved is safe.',
};

/**
 * Names of acts whose answer is not known: the same words sent to the same place again are the same act, which the
 * server does once. With an answer the name is used up.
 */
const unanswered = new Map<string, string>();

async function post<T>(path: string, body?: unknown): Promise<T> {
  const words = `${path} ${JSON.stringify(body)}`;
  const act = unanswered.get(words) ?? crypto.randomUUID();
  unanswered.set(words, act);
  try {
    const answer = await call<T>('POST', path, body, { [ACT_HEADER]: act });
    unanswered.delete(words);
    return answer;
  } catch (error) {
    if (error instanceof ApiError && error.status >= 400 && error.status < 500) unanswered.delete(words);
    throw error;
  }
}

async function call<T>(
  method: string,
  path: string,
  body?: unknown,
  headers: Record<string, string> = {},
  isRead = true,
): Promise<T> {
  const response = await answerTo(method, path, body, headers);
  if (response.ok && !isRead) return undefined as T;
  if (!response.ok) throw await errorOf(response);
  const text = await response.text();
  needFontsOf(text);
  return (text === '' ? undefined : JSON.parse(text)) as T;
}

async function answerTo(
  method: string,
  path: string,
  body: unknown,
  headers: Record<string, string> = {},
  signal?: AbortSignal,
): Promise<Response> {
  try {
    return await fetch(`/api/${path}`, {
      method,
      ...(signal && { signal }),
      headers: { ...(body !== undefined && { 'Content-Type': 'application/json' }), ...headers },
      ...(body !== undefined && { body: body instanceof Blob ? body : JSON.stringify(body) }),
    });
  } catch (error) {
    // fetch rejects with a TypeError when there is no answer at all.
    if (!(error instanceof TypeError)) throw error;
    throw new ApiError(UNREACHABLE);
  }
}

async function errorOf(response: Response): Promise<ApiError> {
  const error = new ApiError(problemOf(response, await response.text()));
  if (error.status === 401) for (const listener of signedOutListeners) listener();
  return error;
}

function problemOf({ status, headers }: Response, text: string): ProblemDetails {
  if (headers.get('content-type')?.includes('problem+json')) return JSON.parse(text) as ProblemDetails;
  return { ...UNREACHABLE, status, detail: 'The server gave no proper answer. Try again in a moment.' };
}

/** Sends a file as it is. */
async function send<T>(path: string, file: Blob): Promise<T> {
  return call<T>('POST', path, file, { 'Content-Type': 'application/octet-stream' });
}

/** What is made of something and sent back as a file. @throws the signal's reason where that ends it */
async function file(path: string, body: unknown, signal?: AbortSignal): Promise<Blob> {
  const response = await answerTo('POST', path, body, {}, signal);
  if (!response.ok) throw await errorOf(response);
  return response.blob();
}

export const api = {
  send,
  file,
  /** Whether something is there, without what it is. */
  head: (path: string): Promise<void> => call('GET', path, undefined, { Range: 'bytes=0-0' }, false),
  get: <T>(path: string): Promise<T> => call('GET', path),
  post: <T = void>(path: string, body?: unknown): Promise<T> => post(path, body),
  put: <T = void>(path: string, body: unknown): Promise<T> => call('PUT', path, body),
  patch: <T = void>(path: string, body: unknown): Promise<T> => call('PATCH', path, body),
  delete: <T = void>(path: string): Promise<T> => call('DELETE', path),
};

export const sentenceOfError = (error: unknown): string =>
  error instanceof SaidError
    ? error.message
    : 'Something went wrong on this page. Load it again; what was saved is safe.';
