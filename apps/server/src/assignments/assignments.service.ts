import { Injectable } from '@nestjs/common';
import type { AssignmentRow, PublicationRow } from '@ichnograph/contract';
import { In, IsNull } from 'typeorm';
import { Database } from '../common/database.js';
import type { Account } from '../accounts/index.js';
import { AccountsService } from '../accounts/index.js';
import { ClassesService, STAFF } from '../classes/index.js';
import { conflict, forbidden, notFound, refused } from '../common/problem.js';
import { unlessTaken } from '../common/database-errors.js';
import { Assignment } from './assignment.entity.js';
import { Collaborator } from './collaborator.entity.js';
import { DueTimes } from './due-times.service.js';
import { Publication } from './publication.entity.js';
import { Revision } from './revision.entity.js';

/**
 * Assignments as those see them who set them: the owner and collaborators change and give out, the teachers and
 * assistants of a class that has one read it.
 */
@Injectable()
export class AssignmentsService {
  private readonly listeners: ((assignmentId: string) => Promise<void>)[] = [];

  constructor(
    private readonly data: Database,
    private readonly classes: ClassesService,
    private readonly accounts: AccountsService,
    private readonly dueTimes: DueTimes,
  ) {}

  /** Told when somebody may do less with an assignment than before. */
  onUnshare(listener: (assignmentId: string) => Promise<void>): void {
    this.listeners.push(listener);
  }

  async list({ id: accountId }: Account): Promise<AssignmentRow[]> {
    const [shared, published] = await Promise.all([
      this.data.getRepository(Collaborator).findBy({ accountId }),
      this.givenTo(await this.classes.classIdsOf(accountId, STAFF)),
    ]);
    const ids = [...shared.map(({ assignmentId }) => assignmentId), ...published.map((one) => one.assignmentId)];
    const seen = await this.data.getRepository(Assignment).find({
      where: [
        { ownerId: accountId, rulesOf: IsNull() },
        { id: In(ids), rulesOf: IsNull() },
      ],
      order: { createdAt: 'DESC' },
    });
    return this.rows(seen, accountId);
  }

  /** An assignment as a list has it; one that this person may not see is not there. */
  async row(id: string, accountId: string): Promise<AssignmentRow> {
    const assignment = await this.data.getRepository(Assignment).findOneBy({ id });
    if (!assignment || !(await this.maySee(assignment, accountId))) throw notFound('assignment');
    const [row] = await this.rows([assignment], accountId);
    return row!;
  }

  /** Lets another teacher change and give out the assignment too. */
  async share(id: string, accountId: string, owner: Account): Promise<void> {
    await this.owned(id, owner.id);
    const other = await this.accounts.byId(accountId);
    if (!other || other.role === 'student') throw notFound('teacher');
    await unlessTaken(this.data.getRepository(Collaborator).insert({ assignmentId: id, accountId }), () =>
      conflict(`${other.givenName} has this assignment already.`),
    );
  }

  async unshare(id: string, accountId: string, owner: Account): Promise<void> {
    await this.owned(id, owner.id);
    await this.data.getRepository(Collaborator).delete({ assignmentId: id, accountId });
    for (const listener of this.listeners) await listener(id);
  }

  async mayChange(id: string, accountId: string): Promise<boolean> {
    const [assignment, shared] = await Promise.all([
      this.data.getRepository(Assignment).findOneBy({ id }),
      this.data.getRepository(Collaborator).existsBy({ assignmentId: id, accountId }),
    ]);
    // A class's rules are its teachers', whoever wrote them first.
    if (assignment?.rulesOf) return (await this.classes.partIn(assignment.rulesOf, accountId)) === 'teacher';
    return assignment?.ownerId === accountId || shared;
  }

  private async maySee(assignment: Assignment, accountId: string): Promise<boolean> {
    if (await this.mayChange(assignment.id, accountId)) return true;
    const given = await this.givenTo(await this.classes.classIdsOf(accountId, STAFF));
    return given.some(({ assignmentId }) => assignmentId === assignment.id);
  }

  /** @throws unless this person may change the assignment */
  async changeable(id: string, accountId: string): Promise<Assignment> {
    const found = await this.data.getRepository(Assignment).findOneBy({ id });
    if (!found || !(await this.maySee(found, accountId))) throw notFound('assignment');
    if (!(await this.mayChange(id, accountId)))
      throw forbidden('This assignment is a colleague’s. Ask them to share it with you.');
    return found;
  }

  /** @throws unless it is this person's own: who it is shared with changes and gives out, and no more */
  private async owned(id: string, accountId: string): Promise<Assignment> {
    const found = await this.changeable(id, accountId);
    if (found.ownerId !== accountId)
      throw forbidden('This assignment is a colleague’s, who shares it with you. Only they can do that.');
    return found;
  }

  /** Puts an assignment away, and closes it where it is given out; or takes it out again. Its owner's to do. */
  async archive(id: string, archivedAt: Date | null, accountId: string): Promise<void> {
    const { rulesOf } = await this.changeable(id, accountId);
    if (rulesOf) throw refused('Standing rules stay with their class.');
    await this.owned(id, accountId);
    if (archivedAt) await this.insistNobodyElses(id, accountId);
    await this.data.unit(async () => {
      await this.data.manager.update(Assignment, { id }, { archivedAt });
      if (archivedAt)
        await this.data.manager.update(Publication, { assignmentId: id, closedAt: IsNull() }, { closedAt: archivedAt });
    });
  }

  /** @throws where a colleague's class still works on it: what is put away would be gone there too */
  private async insistNobodyElses(assignmentId: string, accountId: string): Promise<void> {
    const mine = await this.classes.classIdsOf(accountId, ['teacher']);
    const open = await this.data
      .getRepository(Publication)
      .findBy({ assignmentId, closedAt: IsNull(), schoolClass: { archivedAt: IsNull() } });
    const others = open.filter(({ classId }) => !mine.includes(classId));
    if (others.length === 0) return;
    const names = await this.classes.namesOf(others.map(({ classId }) => classId));
    throw conflict(
      `${[...names.values()].join(', ')} still works on it, and is a colleague’s class. It can be put away when it is closed there.`,
    );
  }

  /** Whose standing rules these assignments are, and whose they began with. */
  private async rulesOf(
    assignments: readonly Assignment[],
  ): Promise<(assignment: Assignment) => Pick<AssignmentRow, 'rulesOf' | 'follows'>> {
    const followed = assignments.flatMap(({ follows }) => follows ?? []);
    const revisions = await this.data
      .getRepository(Revision)
      .find({ where: { id: In(followed) }, select: { id: true, assignmentId: true, number: true } });
    const rules = await this.data
      .getRepository(Assignment)
      .findBy({ id: In(revisions.map(({ assignmentId }) => assignmentId)) });
    const newest = await this.data
      .getRepository(Revision)
      .find({ where: { assignmentId: In(rules.map(({ id }) => id)) }, select: { assignmentId: true, number: true } });
    const names = await this.classes.namesOf([...assignments, ...rules].flatMap((one) => one.rulesOf ?? []));
    const nameOf = (classId: string) => ({ classId, className: names.get(classId)! });
    return ({ rulesOf, follows }) => {
      const revision = revisions.find(({ id }) => id === follows);
      const from = rules.find(({ id }) => id === revision?.assignmentId)?.rulesOf;
      return {
        rulesOf: rulesOf ? nameOf(rulesOf) : null,
        follows:
          revision && from
            ? {
                ...nameOf(from),
                newest: newest.every(
                  ({ assignmentId, number }) => assignmentId !== revision.assignmentId || number <= revision.number,
                ),
              }
            : null,
      };
    };
  }

  private async givenTo(classIds: readonly string[]): Promise<Publication[]> {
    return classIds.length === 0 ? [] : this.data.getRepository(Publication).findBy({ classId: In([...classIds]) });
  }

  /** These as a list has them, for whoever may know of them: in their order. */
  async rows(assignments: readonly Assignment[], accountId: string): Promise<AssignmentRow[]> {
    if (assignments.length === 0) return [];
    const ids = In(assignments.map(({ id }) => id));
    const [revisions, publications, shared, owners, mine] = await Promise.all([
      this.data.getRepository(Revision).find({ where: { assignmentId: ids }, order: { number: 'ASC' } }),
      this.data.getRepository(Publication).find({
        where: { assignmentId: ids },
        relations: { schoolClass: true, revision: true },
        order: { createdAt: 'ASC' },
      }),
      this.data.getRepository(Collaborator).findBy({ assignmentId: ids }),
      this.accounts.people(assignments.map(({ ownerId }) => ownerId)),
      this.classes.classIdsOf(accountId, STAFF),
    ]);
    const rules = await this.rulesOf(assignments);
    const extensions = await this.dueTimes.extensions(publications.map(({ id }) => id));
    const named = await this.accounts.people([...extensions, ...shared].map((one) => one.accountId));
    return assignments.map((assignment): AssignmentRow => {
      const { id, title, ownerId, createdAt, archivedAt, rulesOf } = assignment;
      const newest = revisions.filter((revision) => revision.assignmentId === id).at(-1);
      const mayChange = rulesOf
        ? mine.includes(rulesOf)
        : ownerId === accountId || shared.some((one) => one.assignmentId === id && one.accountId === accountId);
      return {
        id,
        title,
        focusQuestion: newest?.focusQuestion ?? '',
        revision: newest?.number ?? 0,
        begunAt: createdAt.toISOString(),
        owner: owners.get(ownerId)!,
        mayChange,
        sharedWith: shared.flatMap((one) => (one.assignmentId === id ? (named.get(one.accountId) ?? []) : [])),
        archived: archivedAt !== null,
        ...rules(assignment),
        // Who only teaches a class that has it need not know of the others.
        publications: publications
          .filter(({ assignmentId, classId }) => assignmentId === id && (mayChange || mine.includes(classId)))
          .map((publication) => ({
            ...publicationRowOf(publication),
            // Who has more time is a matter of the class.
            extensions: extensions
              .filter(({ publicationId }) => publicationId === publication.id && mine.includes(publication.classId))
              .map(({ accountId: id, due }) => ({ person: named.get(id)!, due: due.toISOString() })),
          })),
      };
    });
  }
}

const publicationRowOf = ({
  id,
  classId,
  schoolClass,
  revision,
  due,
  mayHandInAgain,
  opensAt,
  showsReference,
  showsExample,
  closedAt,
}: Publication): Omit<PublicationRow, 'extensions'> => ({
  id,
  classId,
  className: schoolClass!.name,
  revision: revision!.number,
  due: due?.toISOString() ?? null,
  mayHandInAgain,
  opens: opensAt?.toISOString() ?? null,
  showsReference,
  showsExample,
  closed: closedAt !== null,
});
