import { Column, Entity, PrimaryGeneratedColumn } from 'typeorm';
import type { MarkChangeKind } from '@ichnograph/contract';

/** The audit trail of marks: rows are added and never changed; nothing in the application updates or deletes one. */
@Entity('mark_change')
export class MarkChange {
  @PrimaryGeneratedColumn({ type: 'bigint' }) id!: string;
  @Column({ name: 'submission_id', type: 'char', length: 36 }) submissionId!: string;
  @Column({ type: 'varchar', length: 16 }) kind!: MarkChangeKind;
  @Column({ type: 'varchar', length: 200 }) subject!: string;
  @Column({ name: 'before_value', type: 'double', nullable: true }) before!: number | null;
  @Column({ name: 'after_value', type: 'double', nullable: true }) after!: number | null;
  @Column({ type: 'varchar', length: 2000 }) reason!: string;
  @Column({ name: 'author_id', type: 'char', length: 36 }) authorId!: string;
  @Column({ type: 'datetime', precision: 3 }) at!: Date;
}
