import type { CommentRow } from '@ichnograph/contract';
import { In, IsNull } from 'typeorm';
import type { EntityManager } from 'typeorm';
import { Account, personOf } from '../accounts/index.js';
import { Comment } from './comment.entity.js';

/** A submission's comments, oldest first. */
export async function commentsOf(manager: EntityManager, submissionId: string): Promise<CommentRow[]> {
  const comments = await manager.find(Comment, {
    where: { submissionId, removedAt: IsNull() },
    order: { at: 'ASC', id: 'ASC' },
  });
  const authors = await manager.findBy(Account, { id: In(comments.map((comment) => comment.authorId)) });
  return comments.map((comment) =>
    commentRowOf(
      comment,
      authors.find(({ id }) => id === comment.authorId)!,
    ),
  );
}

export const commentRowOf = ({ id, anchor, target, text, at }: Comment, author: Account): CommentRow => ({
  id,
  anchor,
  target,
  text,
  by: personOf(author),
  at: at.toISOString(),
});

/** How many comments each of these submissions has. */
export async function commentCounts(
  manager: EntityManager,
  submissionIds: readonly string[],
): Promise<Map<string, number>> {
  if (submissionIds.length === 0) return new Map();
  const rows = await manager
    .createQueryBuilder(Comment, 'c')
    .select('c.submission_id', 'id')
    .addSelect('COUNT(*)', 'comments')
    .where('c.submission_id IN (:...submissionIds) AND c.removed_at IS NULL', { submissionIds })
    .groupBy('c.submission_id')
    .getRawMany<{ id: string; comments: string }>();
  return new Map(rows.map(({ id, comments }) => [id, Number(comments)]));
}
