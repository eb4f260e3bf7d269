import type { ThrottlerModuleOptions } from '@nestjs/throttler';

/** Tries are counted by address and name together, so that one pupil's forgotten password does not lock a whole lab out. */
export const throttling: ThrottlerModuleOptions = {
  throttlers: [{ limit: 60, ttl: 60_000 }],
  getTracker: (request: Record<string, unknown>) => {
    const { name } = (request.body ?? {}) as { name?: unknown };
    return Promise.resolve(`${String(request.ip)} ${typeof name === 'string' ? name.slice(0, 100).toLowerCase() : ''}`);
  },
};
