// @ts-expect-error the scripts of this project are plain JavaScript
import { Stack } from '../../scripts/lib/stack.mjs';

/** The whole application with the demo school, for one part of a run. */
export interface RunningStack {
  start: () => Promise<unknown>;
  remove: () => Promise<void>;
  url: string;
  server: { pid: number };
  settings: Record<string, string>;
}

export const quietStack = (): RunningStack =>
  new (Stack as new (name: string, options: object) => RunningStack)('bench', { env: { ICHNOGRAPH_LOG: 'silent' } });
