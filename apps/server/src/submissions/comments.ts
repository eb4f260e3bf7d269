import type { CommentRow } from '@ichnograph/contract';
import { In } from 'typeorm';
import type { EntityManager } from 'typeorm';
import { Account, personOf } from '../accounts/index.js';
import { Comment } from './comment.entity.js';

/** A submission's comments, oldest first. */
export async function commentsOf(manager: EntityManager, submissionId: string): Promise<CommentRow[]> {
  const comments = await manager.find(Comment, { where: { submissionId }, order: { at: 'ASC', id: 'ASC' } });
  const authors = await manager.findBy(Account, { id: In(comments.map((comment) => comment.authorId)) });
  return comments.map(({ id, anchor, target, text, authorId, at }) => ({
    id,
    anchor,
    target,
    text,
    by: personOf(authors.find((author) => author.id === authorId)!),
    at: at.toISOString(),
  }));
}
