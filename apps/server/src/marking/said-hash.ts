import { createHash } from 'node:crypto';

/** A key's name in the database, where keys of any length are found by. */
export const hashOf = (key: string): string => createHash('sha256').update(key).digest('hex');
