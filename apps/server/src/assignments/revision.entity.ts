import { Column, Entity, JoinColumn, ManyToOne, PrimaryColumn } from 'typeorm';
import type { Relation } from 'typeorm';
import { Assignment } from './assignment.entity.js';

/** An immutable state of an assignment. Works and submissions point at the one they were made under. */
@Entity('revision')
export class Revision {
  @PrimaryColumn({ type: 'char', length: 36 }) id!: string;
  @Column({ name: 'assignment_id', type: 'char', length: 36 }) assignmentId!: string;
  @Column({ type: 'int' }) number!: number;
  /** an assignment file's JSON value */
  @Column({ type: 'json' }) body!: Record<string, unknown>;
  @Column({ name: 'created_at', type: 'datetime', precision: 3 }) createdAt!: Date;

  @ManyToOne(() => Assignment) @JoinColumn({ name: 'assignment_id' }) assignment?: Relation<Assignment>;
}
