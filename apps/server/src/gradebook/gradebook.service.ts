import { Injectable } from '@nestjs/common';
import type { Gradebook, GradebookCell, PileEntry } from '@ichnograph/contract';
import { Database } from '../common/database.js';
import { Publication } from '../assignments/index.js';
import { ClassesService } from '../classes/index.js';
import { notFound } from '../common/problem.js';
import { PileService } from '../marking/index.js';

/** The marks of a class across its assignments. */
@Injectable()
export class GradebookService {
  constructor(
    private readonly data: Database,
    private readonly classes: ClassesService,
    private readonly piles: PileService,
  ) {}

  async of(classId: string, accountId: string): Promise<Gradebook> {
    if (!(await this.classes.isStaff(classId, accountId))) throw notFound('class');
    const [room, roster, publications] = await Promise.all([
      this.classes.byId(classId),
      this.classes.roster(classId, ['student']),
      this.data
        .getRepository(Publication)
        .find({ where: { classId }, relations: { revision: true }, order: { createdAt: 'ASC' } }),
    ]);
    const piles = await this.piles.entries(publications, accountId);
    return {
      classId,
      className: room.name,
      assignments: publications.map(({ id, revision, due }) => ({
        publicationId: id,
        title: revision!.title,
        due: due?.toISOString() ?? null,
      })),
      students: roster.map(({ id, givenName, familyName }) => ({
        person: { id, givenName, familyName },
        cells: publications.map(({ id: publicationId }) => {
          const entry = piles.get(publicationId)!.find(({ members }) => members.some((member) => member.id === id));
          return cellOf(publicationId, id, entry);
        }),
      })),
    };
  }
}

function cellOf(publicationId: string, accountId: string, entry: PileEntry | undefined): GradebookCell {
  const { mark = null, own = [] } = entry?.submission ?? {};
  return {
    publicationId,
    workId: entry?.workId ?? null,
    state: entry?.state ?? 'not begun',
    late: entry?.late ?? false,
    mark: mark && { ...mark, ...own.find((one) => one.accountId === accountId) },
  };
}
