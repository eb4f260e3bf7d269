import { Injectable } from '@nestjs/common';
import { workDocument } from '@ichnograph/contract';
import type { NewComment, WorkComments } from '@ichnograph/contract';
import { IsNull } from 'typeorm';
import { Acts } from '../acts/index.js';
import type { Named } from '../acts/index.js';
import { Revisions } from '../assignments/index.js';
import { ClassesService } from '../classes/index.js';
import { Clock } from '../common/clock.js';
import { Database } from '../common/database.js';
import { conflict, notFound } from '../common/problem.js';
import { Snapshots } from '../live/index.js';
import { isOpen, membersOf, WorksService } from '../works/index.js';
import type { Seen } from '../works/index.js';
import { Comment } from './comment.entity.js';
import { rowsOf } from './comment-rows.js';
import { CommentsRead } from './comments-read.entity.js';
import { insistThere, newComment } from './comments.service.js';

/**
 * What is said on a map while it is drawn, by those who draw it and those who teach them. All of them read it at once, and it
 * changes nothing about who may draw. How far each has read is kept, so that what is new can be counted.
 */
@Injectable()
export class Threads {
  constructor(
    private readonly data: Database,
    private readonly works: WorksService,
    private readonly revisions: Revisions,
    private readonly classes: ClassesService,
    private readonly snapshots: Snapshots,
    private readonly acts: Acts,
    private readonly clock: Clock,
  ) {}

  async of(workId: string, accountId: string): Promise<WorkComments> {
    const seen = await this.works.seen(workId, accountId);
    if (seen.isBlind) return { comments: [], readUntil: null, people: [], mayBegin: false };
    const comments = await this.data
      .getRepository(Comment)
      .find({ where: { workId, removedAt: IsNull() }, order: { at: 'ASC', id: 'ASC' } });
    const read = await this.data.getRepository(CommentsRead).findOneBy({ workId, accountId });
    return {
      comments: await rowsOf(this.data, comments),
      readUntil: read?.until.toISOString() ?? null,
      people: [...membersOf(seen.work), ...(await this.classes.teaching(seen.work.publication!.classId))],
      mayBegin: await this.mayBegin(seen),
    };
  }

  async begin(workId: string, { anchor, target, text }: NewComment, by: Named): Promise<string> {
    const seen = await this.works.seen(workId, by.accountId);
    if (seen.isBlind) throw notFound('map');
    if (!(await this.mayBegin(seen)))
      throw conflict(
        isOpen(seen.work)
          ? 'In this assignment comments on a map that is drawn are left to those who teach.'
          : 'This map is not drawn on any more, so no comment can be begun on it.',
      );
    const drawn = await this.snapshots.of(workDocument(workId));
    if (!drawn) throw notFound('map');
    await insistThere(drawn.map, anchor, target, () => Promise.resolve([]));
    const id = await this.acts.once(by, 'comment', async () => {
      const of = { submissionId: null, workId };
      const comment = newComment(of, { anchor, target, text }, by.accountId, this.clock.now());
      await this.data.manager.insert(Comment, comment);
      return comment.id;
    });
    this.works.told(workId);
    return id;
  }

  /** Keeps how far somebody has read; it never goes back. */
  async read(workId: string, until: Date, accountId: string): Promise<void> {
    const { isBlind } = await this.works.seen(workId, accountId);
    if (isBlind) return;
    const now = this.clock.now();
    await this.data.manager.query(
      'INSERT INTO comments_read (work_id, account_id, until) VALUES (?, ?, ?) ON DUPLICATE KEY UPDATE until = GREATEST(until, VALUES(until))',
      [workId, accountId, until < now ? until : now],
    );
  }

  /** How many comments and answers of others somebody has not read, by the works that have some. */
  async unread(workIds: readonly string[], accountId: string): Promise<Map<string, number>> {
    if (workIds.length === 0) return new Map();
    const rows = await this.data.manager.query<{ workId: string; unread: string }[]>(
      `SELECT said.work_id AS workId, COUNT(*) AS unread
       FROM (
         SELECT c.work_id, c.author_id, c.at FROM comment c WHERE c.work_id IN (?) AND c.removed_at IS NULL
         UNION ALL
         SELECT c.work_id, a.author_id, a.at FROM comment_answer a JOIN comment c ON c.id = a.comment_id
         WHERE c.work_id IN (?) AND c.removed_at IS NULL
       ) said
       LEFT JOIN comments_read r ON r.work_id = said.work_id AND r.account_id = ?
       WHERE said.author_id <> ? AND (r.until IS NULL OR said.at > r.until)
       GROUP BY said.work_id`,
      [workIds, workIds, accountId, accountId],
    );
    return new Map(rows.map(({ workId, unread }) => [workId, Number(unread)]));
  }

  private async mayBegin({ work, isStaff }: Seen): Promise<boolean> {
    if (isStaff) return true;
    return isOpen(work) && (await this.revisions.bodyOf(work.revisionId)).drawing?.comments !== false;
  }
}
