import { randomInt } from 'node:crypto';

/** Letters and figures that nobody takes for one another. */
const SIGNS = 'ABCDEFGHJKLMNPQRTUVWXYZ2346789';

export const newJoinCode = (): string => Array.from({ length: 8 }, () => SIGNS[randomInt(SIGNS.length)]).join('');

/** A code as it was meant, however it was typed. */
export const normalCode = (typed: string): string => typed.toUpperCase().replace(/[^A-Z0-9]/g, '');
