import type { CommentRow } from '@ichnograph/contract';
import { In, IsNull } from 'typeorm';
import type { Database } from '../common/database.js';
import { Account, personOf } from '../accounts/index.js';
import { CommentAnswer } from './comment-answer.entity.js';
import { Comment } from './comment.entity.js';

/** A submission's comments, oldest first, each with what was answered to it. */
export async function commentsOf(data: Database, submissionId: string): Promise<CommentRow[]> {
  const comments = await data.manager.find(Comment, {
    where: { submissionId, removedAt: IsNull() },
    order: { at: 'ASC', id: 'ASC' },
  });
  return rowsOf(data, comments);
}

export async function rowsOf(data: Database, comments: readonly Comment[]): Promise<CommentRow[]> {
  const answers =
    comments.length === 0
      ? []
      : await data.manager.find(CommentAnswer, {
          where: { commentId: In(comments.map(({ id }) => id)) },
          order: { at: 'ASC', id: 'ASC' },
        });
  const authors = await data.manager.findBy(Account, {
    id: In([...comments, ...answers].map(({ authorId }) => authorId)),
  });
  const people = new Map(authors.map((author) => [author.id, personOf(author)]));
  return comments.map(({ id, anchor, target, text, at, authorId, settledAt }) => ({
    id,
    anchor,
    target,
    text,
    by: people.get(authorId)!,
    at: at.toISOString(),
    settled: settledAt !== null,
    answers: answers
      .filter(({ commentId }) => commentId === id)
      .map((answer) => ({
        id: answer.id,
        text: answer.text,
        by: people.get(answer.authorId)!,
        at: answer.at.toISOString(),
      })),
  }));
}

/** How many comments each of these submissions has. */
export async function commentCounts(data: Database, submissionIds: readonly string[]): Promise<Map<string, number>> {
  if (submissionIds.length === 0) return new Map();
  const rows = await data.manager
    .createQueryBuilder(Comment, 'c')
    .select('c.submission_id', 'id')
    .addSelect('COUNT(*)', 'comments')
    .where('c.submission_id IN (:...submissionIds) AND c.removed_at IS NULL', { submissionIds })
    .groupBy('c.submission_id')
    .getRawMany<{ id: string; comments: string }>();
  return new Map(rows.map(({ id, comments }) => [id, Number(comments)]));
}
