import type { DataSource, EntityManager } from 'typeorm';
import { isInTheWay, isTaken } from './database-errors.js';

const MOST_TRIES = 4;

/**
 * A transaction that may be done again: where another stood in its way, or wrote the same row first, it was rolled back
 * whole, and the same again sees what the other did.
 */
export async function inTransaction<T>(data: DataSource, deed: (manager: EntityManager) => Promise<T>): Promise<T> {
  for (let tries = 1; ; tries++) {
    try {
      return await data.transaction(deed);
    } catch (error) {
      if (tries === MOST_TRIES || !(isInTheWay(error) || isTaken(error))) throw error;
    }
  }
}
