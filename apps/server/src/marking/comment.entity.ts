import { Column, Entity, JoinColumn, ManyToOne, PrimaryColumn } from 'typeorm';
import type { Relation } from 'typeorm';
import type { Anchor } from '@ichnograph/contract';
import { Submission } from '../submissions/index.js';

@Entity('comment')
export class Comment {
  @PrimaryColumn({ type: 'char', length: 36 }) id!: string;
  /** the map that was handed in; null where it was said while the map was still drawn */
  @Column({ name: 'submission_id', type: 'char', length: 36, nullable: true }) submissionId!: string | null;
  /** the work, where it was said while the map was still drawn */
  @Column({ name: 'work_id', type: 'char', length: 36, nullable: true }) workId!: string | null;
  @Column({ type: 'varchar', length: 16 }) anchor!: Anchor;
  @Column({ type: 'varchar', length: 200, nullable: true }) target!: string | null;
  @Column({ type: 'varchar', length: 2000 }) text!: string;
  @Column({ name: 'author_id', type: 'char', length: 36 }) authorId!: string;
  @Column({ type: 'datetime', precision: 3 }) at!: Date;
  /** when it was deleted; until the work is returned it can be brought back */
  @Column({ name: 'removed_at', type: 'datetime', precision: 3, nullable: true }) removedAt!: Date | null;

  /** set together with the same words on other maps: names them, so that all can be taken back in one go */
  @Column({ type: 'char', length: 36, nullable: true }) batch!: string | null;
  /** made at the return of the remark of a verdict, and gone again when the return is taken back */
  @Column({ name: 'of_verdict', type: 'boolean', default: false }) ofVerdict!: boolean;
  @Column({ name: 'settled_at', type: 'datetime', precision: 3, nullable: true }) settledAt!: Date | null;

  @ManyToOne(() => Submission) @JoinColumn({ name: 'submission_id' }) submission?: Relation<Submission>;
}
