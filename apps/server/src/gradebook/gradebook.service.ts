import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { onScale, PLAIN_MARKS } from '@ichnograph/core';
import type { MarkRules } from '@ichnograph/core';
import type { Gradebook, GradebookCell, PileEntry } from '@ichnograph/contract';
import { DataSource } from 'typeorm';
import { Publication, Revisions } from '../assignments/index.js';
import { ClassesService } from '../classes/index.js';
import { notFound } from '../common/problem.js';
import { PileService } from '../marking/index.js';

/** The marks of a class across its assignments. */
@Injectable()
export class GradebookService {
  constructor(
    @InjectDataSource() private readonly data: DataSource,
    private readonly classes: ClassesService,
    private readonly piles: PileService,
    private readonly revisions: Revisions,
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
    const [piles, bodies] = await Promise.all([
      this.piles.entries(publications, accountId),
      Promise.all(publications.map(({ revisionId }) => this.revisions.bodyOf(revisionId))),
    ]);
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
        cells: publications.map(({ id: publicationId }, i) => {
          const entry = piles.get(publicationId)!.find(({ members }) => members.some((member) => member.id === id));
          return cellOf(publicationId, entry, bodies[i]!.marks ?? PLAIN_MARKS);
        }),
      })),
    };
  }
}

function cellOf(publicationId: string, entry: PileEntry | undefined, rules: MarkRules): GradebookCell {
  const mark = entry?.submission?.mark;
  return {
    publicationId,
    workId: entry?.workId ?? null,
    state: entry?.state ?? 'not begun',
    late: entry?.late ?? false,
    mark: mark ? { ...mark, shown: onScale(mark, rules) } : null,
  };
}
