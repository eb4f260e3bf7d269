import { Column, Entity, JoinColumn, ManyToOne, PrimaryColumn } from 'typeorm';
import type { Relation } from 'typeorm';
import { Assignment } from './assignment.entity.js';

/** An immutable state of an assignment. Works and submissions point at the one they were made under. */
@Entity('revision')
export class Revision {
  @PrimaryColumn({ type: 'char', length: 36 }) id!: string;
  @Column({ name: 'assignment_id', type: 'char', length: 36 }) assignmentId!: string;
  @Column({ type: 'int' }) number!: number;
  /** the body's own, for lists */
  @Column({ type: 'varchar', length: 300 }) title!: string;
  @Column({ name: 'focus_question', type: 'varchar', length: 300 }) focusQuestion!: string;
  /** an assignment file's JSON value; asked for by `Revisions` alone, so that no list carries it along */
  @Column({ type: 'json', select: false }) body!: Record<string, unknown>;
  @Column({ name: 'created_at', type: 'datetime', precision: 3 }) createdAt!: Date;

  @ManyToOne(() => Assignment) @JoinColumn({ name: 'assignment_id' }) assignment?: Relation<Assignment>;
}
