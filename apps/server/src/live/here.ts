import { Here, HERE_LIMITS } from '@ichnograph/contract';
import { plainToInstance } from 'class-transformer';
import { validateSync } from 'class-validator';

/** What a page said of the person before it cannot be passed on; the reason is told as the connection ends. */
export class NotHere extends Error {}

/**
 * Reads what a page says of the person before it, strictly: nobody gets a name, a key or anything else into it.
 * @throws NotHere
 */
export function readHere(payload: string): Here {
  if (payload.length > HERE_LIMITS.characters) throw new NotHere('too large');
  const here = plainToInstance(Here, parsed(payload));
  const [fault] = validateSync(here, { whitelist: true, forbidNonWhitelisted: true, stopAtFirstError: true });
  if (fault) throw new NotHere(`not as it should be: ${fault.property.slice(0, 40)}`);
  return here;
}

function parsed(payload: string): object {
  let value: unknown;
  try {
    value = JSON.parse(payload);
  } catch {
    // Where it stumbled helps nobody: no page of ours sends this.
    throw new NotHere('unreadable');
  }
  if (typeof value !== 'object' || value === null || Array.isArray(value)) throw new NotHere('unreadable');
  return value;
}

/**
 * How often something may happen: so many at once, and that many again each second.
 * @param now a moment, milliseconds
 */
export class Allowance {
  private left: number;
  private since: number;

  constructor(
    private readonly atOnce: number,
    private readonly perSecond: number,
    now: number,
  ) {
    this.left = atOnce;
    this.since = now;
  }

  takes(now: number): boolean {
    this.left = Math.min(this.atOnce, this.left + ((now - this.since) * this.perSecond) / 1000);
    this.since = now;
    if (this.left < 1) return false;
    this.left -= 1;
    return true;
  }
}
