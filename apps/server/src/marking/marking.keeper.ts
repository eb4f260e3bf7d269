import { Injectable } from '@nestjs/common';
import { In } from 'typeorm';
import { Database } from '../common/database.js';
import type { Erasure, Keeper } from '../common/keeper.js';
import { Submission } from '../submissions/index.js';
import { WorksKeeper } from '../works/index.js';
import { CommentAnswer } from './comment-answer.entity.js';
import { Comment } from './comment.entity.js';
import { CommentsRead } from './comments-read.entity.js';
import { JudgementEntry } from './judgement.entity.js';
import { MarkChange } from './mark-change.entity.js';
import { Remark } from './remark.entity.js';
import { SecondMark } from './second-mark.entity.js';
import { ClassVerdict, MapVerdict } from './verdict.entities.js';

/** What was said and given. It stays for those it was said and given to; a bank of one's own is nobody else's. */
@Injectable()
export class MarkingKeeper implements Keeper {
  constructor(
    private readonly data: Database,
    private readonly works: WorksKeeper,
  ) {}

  async kept(id: string): Promise<Record<string, unknown>> {
    const { manager } = this.data;
    const workId = In((await this.works.of(id)).map((work) => work.id));
    const submissions = await manager.find(Submission, { where: { workId }, select: { id: true, number: true } });
    const submissionId = In(submissions.map((one) => one.id));
    const comments = await manager.find(Comment, { where: [{ authorId: id }, { submissionId }, { workId }] });
    const judged = (await manager.findBy(JudgementEntry, { submissionId })).filter(
      ({ kind, subject }) => kind !== 'person' || subject === id,
    );
    const verdicts = [
      ...(await manager.findBy(ClassVerdict, { authorId: id })),
      ...(await manager.findBy(MapVerdict, { authorId: id })),
    ];
    return {
      commentsRead: (await manager.findBy(CommentsRead, { accountId: id })).map(({ workId: work, until }) => ({
        work,
        until,
      })),
      comments: comments.map(({ text, at, authorId }) => ({
        text,
        at,
        written: authorId === id ? 'by them' : 'to them',
      })),
      answers: (await manager.findBy(CommentAnswer, { authorId: id })).map(({ text, at }) => ({ text, at })),
      judged: judged.map(({ submissionId: submission, kind, subject, value, reason, at }) => ({
        submission,
        kind,
        subject,
        value,
        reason,
        at,
      })),
      marksGiven: (await manager.findBy(MarkChange, { authorId: id })).map(({ kind, subject, after, reason, at }) => ({
        kind,
        subject,
        value: after,
        reason,
        at,
      })),
      remarkBank: (await manager.findBy(Remark, { ownerId: id })).map(({ text, uses }) => ({ text, uses })),
      verdictsGiven: verdicts.map(({ said, verdict, thin, remark, at }) => ({ said, verdict, thin, remark, at })),
      secondMarksGiven: (await manager.findBy(SecondMark, { authorId: id })).map(({ criterion, level, at }) => ({
        criterion,
        level,
        at,
      })),
    };
  }

  async erase({ accountId, gone }: Erasure): Promise<void> {
    const { manager } = this.data;
    await manager.delete(Remark, { ownerId: accountId });
    await manager.delete(CommentsRead, { accountId });
    if (gone.length === 0) return;
    const workId = In([...gone]);
    const said = (await manager.findBy(Comment, { workId })).map(({ id }) => id);
    if (said.length > 0) await manager.delete(CommentAnswer, { commentId: In(said) });
    await manager.delete(Comment, { workId });
    await manager.delete(MapVerdict, { workId });
  }
}
