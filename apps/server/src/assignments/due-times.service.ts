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

  /**
   * The same for several publications, by publication.
   * @param makersOf those who make one work of a publication together
   */
  async each(
    publications: readonly Dated[],
    makersOf: (publicationId: string) => readonly string[],
  ): Promise<Map<string, Date | null>> {
    const extensions = await this.extensions(publications.map(({ id }) => id));
    return new Map(
      publications.map(({ id, due }) => {
        const makers = makersOf(id);
        const theirs = extensions.filter((one) => one.publicationId === id && makers.includes(one.accountId));
        return [id, due && latest([due, ...theirs.map((one) => one.due)])];
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
