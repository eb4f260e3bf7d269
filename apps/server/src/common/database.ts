import { AsyncLocalStorage } from 'node:async_hooks';
import { randomInt } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { DataSource } from 'typeorm';
import type { EntityManager, EntityTarget, ObjectLiteral, Repository, SelectQueryBuilder } from 'typeorm';
import { isInTheWay } from './database-errors.js';

const MOST_TRIES = 6;

/** A transaction that is under way, and who asked for it. */
interface Unit {
  manager: EntityManager;
  open: boolean;
}

/**
 * The one way to the database. Whatever is done within a *unit of work* (`unit`), however deep below, goes through the
 * unit's own connection: nothing inside can wait for a second one. Outside any unit each statement stands alone.
 */
@Injectable()
export class Database {
  private readonly within = new AsyncLocalStorage<Unit>();

  constructor(@InjectDataSource() private readonly data: DataSource) {}

  /** The unit's, within one; what a unit left running behind it finds the plain one again. */
  get manager(): EntityManager {
    return this.unitHere?.manager ?? this.data.manager;
  }

  getRepository<T extends ObjectLiteral>(entity: EntityTarget<T>): Repository<T> {
    return this.manager.getRepository(entity);
  }

  createQueryBuilder(): SelectQueryBuilder<ObjectLiteral> {
    return this.manager.createQueryBuilder() as SelectQueryBuilder<ObjectLiteral>;
  }

  /**
   * All or nothing. A unit within a unit is part of it. Where the database broke it off because another stood in its way, it
   * was rolled back whole and is done again; so a deed keeps nothing outside the database that it cannot do twice.
   * Statements see what was committed before each of them: what is read after a lock was taken is what holds.
   */
  async unit<T>(deed: () => Promise<T>): Promise<T> {
    if (this.unitHere) return deed();
    for (let tries = 1; ; tries++) {
      try {
        return await this.transaction('READ COMMITTED', deed);
      } catch (error) {
        if (tries === MOST_TRIES || !isInTheWay(error)) throw error;
        // Each a little later than the other: two that stood in each other's way meet no more.
        await pause(randomInt(10 * 2 ** tries));
      }
    }
  }

  /** Reads several things as they were at one moment; never within a unit, whose own writes such a reading might miss. */
  moment<T>(reading: () => Promise<T>): Promise<T> {
    this.insistOutside('reading as of one moment');
    return this.transaction('REPEATABLE READ', reading);
  }

  /** Does something that belongs to no unit, even where one is under way: what goes on in the background. */
  apart<T>(deed: () => T): T {
    return this.within.exit(deed);
  }

  /**
   * What takes long holds no connection, and no lock, meanwhile.
   * @throws within a unit: that is a mistake in the code, not in what was asked
   */
  insistOutside(what: string): void {
    if (this.unitHere) throw new Error(`${what} must not happen within a unit of work`);
  }

  private get unitHere(): Unit | undefined {
    const unit = this.within.getStore();
    return unit?.open ? unit : undefined;
  }

  private transaction<T>(isolation: 'READ COMMITTED' | 'REPEATABLE READ', deed: () => Promise<T>): Promise<T> {
    return this.data.transaction(isolation, async (manager) => {
      const unit: Unit = { manager, open: true };
      try {
        return await this.within.run(unit, deed);
      } finally {
        unit.open = false;
      }
    });
  }
}

const pause = (ms: number): Promise<void> => new Promise((resolve) => setTimeout(resolve, ms));
