import { randomUUID } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import { openStoredMap, writeMap } from '@ichnograph/core';
import { workDocument } from '@ichnograph/contract';
import { In } from 'typeorm';
import { Database } from '../common/database.js';
import { Account, accountRowOf, AccountsService, SessionsService } from '../accounts/index.js';
import { Assignment, Extension, Revision } from '../assignments/index.js';
import { ReadyMade } from '../beginnings/index.js';
import { Enrolment } from '../classes/index.js';
import { conflict, notFound } from '../common/problem.js';
import { FileOwner, FilesService } from '../files/index.js';
import { LiveDocument, LiveService, LiveUpdate } from '../live/index.js';
import {
  ClassVerdict,
  Comment,
  CommentAnswer,
  JudgementEntry,
  MapVerdict,
  MarkChange,
  Remark,
  SecondMark,
} from '../marking/index.js';
import { OwnMapsService } from '../own-maps/index.js';
import { Submission } from '../submissions/index.js';
import { MapVersion } from '../versions/index.js';
import { GroupMember, Work, WorkMember } from '../works/index.js';

/** What is kept of a person: written out for them, and erased when they ask for it. */
@Injectable()
export class PersonsService {
  constructor(
    private readonly data: Database,
    private readonly accounts: AccountsService,
    private readonly sessions: SessionsService,
    private readonly live: LiveService,
    private readonly files: FilesService,
    private readonly ownMaps: OwnMapsService,
  ) {}

  /** Everything that bears this person's name or was made by them, as one JSON value. */
  async kept(id: string): Promise<object> {
    const account = await this.person(id);
    const [enrolments, works] = await Promise.all([
      this.data.manager.find(Enrolment, { where: { accountId: id }, relations: { schoolClass: true } }),
      this.worksOf(id),
    ]);
    const submissions = await this.data.manager.find(Submission, {
      where: { workId: In(works.map((work) => work.id)) },
      order: { handedInAt: 'ASC' },
      select: SUBMISSION_FIELDS,
    });
    const workId = In(works.map((work) => work.id));
    const [comments, answers, judgements] = await Promise.all([
      this.data.manager.find(Comment, {
        where: [{ authorId: id }, { submissionId: In(submissions.map((one) => one.id)) }, { workId }],
      }),
      this.data.manager.findBy(CommentAnswer, { authorId: id }),
      this.data.manager.findBy(JudgementEntry, { submissionId: In(submissions.map((one) => one.id)) }),
    ]);
    const versions = await this.data.manager.find(MapVersion, {
      where: { workId: In(works.map((work) => work.id)) },
      order: { at: 'ASC' },
    });
    const [assignments, readyMades, marks, extensions, groups, files] = await Promise.all([
      this.data.manager.findBy(Assignment, { ownerId: id }),
      this.data.manager.findBy(ReadyMade, { ownerId: id }),
      this.data.manager.findBy(MarkChange, { authorId: id }),
      this.data.manager.findBy(Extension, { accountId: id }),
      this.data.manager.findBy(GroupMember, { accountId: id }),
      this.data.manager.find(FileOwner, { where: { accountId: id }, relations: { file: true } }),
    ]);
    return {
      account: { ...accountRowOf(account), createdAt: account.createdAt },
      classes: enrolments.map(({ schoolClass, part }) => ({ name: schoolClass!.name, part })),
      versions: versions.map(({ id: _id, byId: _byId, ...version }) => version),
      works: works.map((work) => ({
        assignment: work.revision!.title,
        state: work.state,
        begunAt: work.begunAt,
        submissions: submissions
          .filter(({ workId }) => workId === work.id)
          .map(({ id: submissionId, workId: _, map, ...rest }) => ({
            ...rest,
            map: writeMap(openStoredMap(map)),
            judged: judgements
              .filter((one) => one.submissionId === submissionId)
              .map(({ kind, subject, value, reason, at }) => ({ kind, subject, value, reason, at })),
          })),
      })),
      comments: comments.map(({ text, at, authorId }) => ({
        text,
        at,
        written: authorId === id ? 'by them' : 'to them',
      })),
      answers: answers.map(({ text, at }) => ({ text, at })),
      assignments: assignments.map(({ title, createdAt }) => ({ title, begunAt: createdAt })),
      readyMade: readyMades.map(({ title, guidance, createdAt }) => ({ title, guidance, keptAt: createdAt })),
      marksGiven: marks.map(({ kind, subject, after, reason, at }) => ({ kind, subject, value: after, reason, at })),
      extensions: extensions.map(({ publicationId, due }) => ({ publication: publicationId, due })),
      groups: groups.map(({ publicationId, groupNumber }) => ({ publication: publicationId, group: groupNumber })),
      remarkBank: (await this.data.manager.findBy(Remark, { ownerId: id })).map(({ text, uses }) => ({ text, uses })),
      verdictsGiven: [
        ...(await this.data.manager.findBy(ClassVerdict, { authorId: id })),
        ...(await this.data.manager.findBy(MapVerdict, { authorId: id })),
      ].map(({ said, verdict, thin, remark, at }) => ({ said, verdict, thin, remark, at })),
      secondMarksGiven: (await this.data.manager.findBy(SecondMark, { authorId: id })).map(
        ({ criterion, level, at }) => ({
          criterion,
          level,
          at,
        }),
      ),
      ownMaps: await this.ownMaps.ofPerson(id),
      files: files.map(({ hash, name, at, file }) => ({ name, at, type: file!.type, bytes: file!.bytes, src: hash })),
    };
  }

  /**
   * Takes a person's name and password away, and them out of every class. What they handed in stays, without the name; what
   * they never handed in goes.
   */
  async erase(id: string, by: Account): Promise<void> {
    const account = await this.person(id);
    if (id === by.id) throw conflict('Nobody erases themselves. Another administrator does it.');
    const works = await this.worksOf(id);
    const handedIn = new Set(
      (await this.data.getRepository(Submission).findBy({ workId: In(works.map((work) => work.id)) })).map(
        ({ workId }) => workId,
      ),
    );
    const gone = await this.data.unit(async () => {
      await this.data.manager.update(
        Account,
        { id },
        { name: `gone-${randomUUID().slice(0, 8)}`, givenName: 'Somebody', familyName: 'erased' },
      );
      await this.data.manager.delete(Enrolment, { accountId: id });
      await this.data.manager.delete(GroupMember, { accountId: id });
      await this.data.manager.delete(Extension, { accountId: id });
      // A bank of one's own is nobody else's; what is kept with an assignment goes with its words only.
      await this.data.manager.delete(Remark, { ownerId: id });
      for (const work of works)
        if (handedIn.has(work.id)) await withoutName(this.data, work.id);
        else if (work.members!.length === 1) await forget(this.data, work.id);
      return this.files.forget(id, (hash) => isStillNamed(this.data, hash));
    });
    await this.files.sweep(gone);
    await this.ownMaps.removeAll(id);
    await this.accounts.resetPassword(account, by.id);
    await this.sessions.endAll(id);
    for (const work of works)
      if (handedIn.has(work.id))
        await this.live.change(workDocument(work.id), () => [{ do: 'entitle', fields: { author: '' } }]);
  }

  private async person(id: string): Promise<Account> {
    const account = await this.accounts.byId(id);
    if (!account) throw notFound('person');
    return account;
  }

  private async worksOf(accountId: string): Promise<Work[]> {
    const rows = await this.data.getRepository(WorkMember).findBy({ accountId });
    return this.data
      .getRepository(Work)
      .find({ where: { id: In(rows.map(({ workId }) => workId)) }, relations: { revision: true, members: true } });
  }
}

const SUBMISSION_FIELDS = {
  id: true,
  workId: true,
  number: true,
  handedInAt: true,
  late: true,
  note: true,
  sum: true,
  sumOutOf: true,
  returnedAt: true,
  map: true,
} as const;

/** Whether something names a file that stays when its owner goes: a map that was handed in, an assignment that was set. */
async function isStillNamed(data: Database, hash: string): Promise<boolean> {
  const named = { named: `%${hash}%` };
  const inSubmission = data.manager
    .createQueryBuilder(Submission, 'one')
    .where('one.map LIKE :named', named)
    .getExists();
  const inRevision = data.manager.createQueryBuilder(Revision, 'one').where('one.body LIKE :named', named).getExists();
  return (await inSubmission) || (await inRevision);
}

/** A frozen map bears its author's name in its title block. */
async function withoutName(data: Database, workId: string): Promise<void> {
  const submissions = await data.manager.find(Submission, { where: { workId }, select: { id: true, map: true } });
  for (const { id, map } of submissions) await data.manager.update(Submission, { id }, { map: { ...map, author: '' } });
  // Points of its history are the person's own, and no part of what was handed in.
  await data.manager.delete(MapVersion, { workId });
}

async function forget(data: Database, workId: string): Promise<void> {
  const name = workDocument(workId);
  const said = (await data.manager.findBy(Comment, { workId })).map(({ id }) => id);
  if (said.length > 0) await data.manager.delete(CommentAnswer, { commentId: In(said) });
  await data.manager.delete(Comment, { workId });
  await data.manager.delete(MapVerdict, { workId });
  await data.manager.delete(LiveUpdate, { documentName: name });
  await data.manager.delete(LiveDocument, { name });
  await data.manager.delete(MapVersion, { workId });
  await data.manager.delete(WorkMember, { workId });
  await data.manager.delete(Work, { id: workId });
}
