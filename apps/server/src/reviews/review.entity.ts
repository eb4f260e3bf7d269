import type { ReviewGiven } from '@ichnograph/contract';
import { Column, Entity, JoinColumn, ManyToOne, PrimaryColumn } from 'typeorm';
import type { Relation } from 'typeorm';
import { Submission } from '../submissions/index.js';
import { RoundOfReviews } from './round.entity.js';

/** A map that was given to somebody to look at, as it was handed in then, and what they gave. */
@Entity('review')
export class Review {
  @PrimaryColumn({ type: 'char', length: 36 }) id!: string;
  @Column({ name: 'publication_id', type: 'char', length: 36 }) publicationId!: string;
  @Column({ name: 'work_id', type: 'char', length: 36 }) workId!: string;
  @Column({ name: 'submission_id', type: 'char', length: 36 }) submissionId!: string;
  @Column({ name: 'reviewer_id', type: 'char', length: 36 }) reviewerId!: string;
  /** among those of its reviewer */
  @Column({ type: 'int' }) position!: number;
  @Column({ type: 'int' }) version!: number;
  @Column({ type: 'json' }) given!: ReviewGiven;
  @Column({ name: 'sent_at', type: 'datetime', precision: 3, nullable: true }) sentAt!: Date | null;

  @ManyToOne(() => RoundOfReviews) @JoinColumn({ name: 'publication_id' }) round?: Relation<RoundOfReviews>;
  @ManyToOne(() => Submission) @JoinColumn({ name: 'submission_id' }) submission?: Relation<Submission>;
}
