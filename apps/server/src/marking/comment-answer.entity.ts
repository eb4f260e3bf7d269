import { Column, Entity, PrimaryColumn } from 'typeorm';

/** What a student, or whoever marks, answers to a comment. */
@Entity('comment_answer')
export class CommentAnswer {
  @PrimaryColumn({ type: 'char', length: 36 }) id!: string;
  @Column({ name: 'comment_id', type: 'char', length: 36 }) commentId!: string;
  @Column({ type: 'varchar', length: 2000 }) text!: string;
  @Column({ name: 'author_id', type: 'char', length: 36 }) authorId!: string;
  @Column({ type: 'datetime', precision: 3 }) at!: Date;
}
