import { Injectable } from '@nestjs/common';
import { In } from 'typeorm';
import { Database } from '../common/database.js';
import { Extension } from './extension.entity.js';
import type { Publication } from './publication.entity.js';

type Dated = Pick<Publication, 'id' | 'due'>;

/** Until when: a publication's due time, or a student's own where they were given more. */
@Injectable()
export class DueTimes {
  constructor(private readonly data: Database) {}

  /** For those who make one work together: the latest that any of them has. */
  async of({ id, due }: Dated, accountIds: readonly string[]): Promise<Date | null> {
    if (due === null) return null;
    const extensions = await this.extensions([id]);
    return latest([due, ...extensions.filter((one) => accountIds.includes(one.accountId)).map((one) => one.due)]);
  }

  /** The same for one person and several publications, by publication. */
  async each(publications: readonly Dated[], accountId: string): Promise<Map<string, Date | null>> {
    const extensions = await this.extensions(publications.map(({ id }) => id));
    return new Map(
      publications.map(({ id, due }) => {
        const own = extensions.find((one) => one.publicationId === id && one.accountId === accountId);
        return [id, due && own ? latest([due, own.due]) : due];
      }),
    );
  }

  extensions(publicationIds: readonly string[]): Promise<Extension[]> {
    return publicationIds.length === 0
      ? Promise.resolve([])
      : this.data.getRepository(Extension).findBy({ publicationId: In([...publicationIds]) });
  }
}

const latest = (dates: readonly Date[]): Date => new Date(Math.max(...dates.map((date) => date.getTime())));
