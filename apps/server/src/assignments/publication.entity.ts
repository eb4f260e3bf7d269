import { Column, Entity, JoinColumn, ManyToOne, PrimaryColumn } from 'typeorm';
import type { Relation } from 'typeorm';
import { SchoolClass } from '../classes/index.js';
import { Assignment } from './assignment.entity.js';
import { Revision } from './revision.entity.js';

/** An assignment set to a class, with its current revision: works that begin now are pinned to that one. */
@Entity('publication')
export class Publication {
  @PrimaryColumn({ type: 'char', length: 36 }) id!: string;
  @Column({ name: 'assignment_id', type: 'char', length: 36 }) assignmentId!: string;
  @Column({ name: 'revision_id', type: 'char', length: 36 }) revisionId!: string;
  @Column({ name: 'class_id', type: 'char', length: 36 }) classId!: string;
  @Column({ type: 'datetime', precision: 3, nullable: true }) due!: Date | null;
  @Column({ name: 'may_hand_in_again', type: 'boolean' }) mayHandInAgain!: boolean;
  /** until then its students do not see it */
  @Column({ name: 'opens_at', type: 'datetime', precision: 3, nullable: true }) opensAt!: Date | null;
  /** whether a student sees the reference map once their map is returned */
  @Column({ name: 'shows_reference', type: 'boolean' }) showsReference!: boolean;
  /** whether the guide has a finished example, on another subject */
  @Column({ name: 'shows_example', type: 'boolean' }) showsExample!: boolean;
  /** from when on nothing is drawn or handed in any more, whatever the due time */
  @Column({ name: 'closed_at', type: 'datetime', precision: 3, nullable: true }) closedAt!: Date | null;
  @Column({ name: 'created_at', type: 'datetime', precision: 3 }) createdAt!: Date;
  /** who marks a second time, blind to the first */
  @Column({ name: 'second_marker_id', type: 'char', length: 36, nullable: true }) secondMarkerId!: string | null;

  @ManyToOne(() => Assignment) @JoinColumn({ name: 'assignment_id' }) assignment?: Relation<Assignment>;
  @ManyToOne(() => Revision) @JoinColumn({ name: 'revision_id' }) revision?: Relation<Revision>;
  @ManyToOne(() => SchoolClass) @JoinColumn({ name: 'class_id' }) schoolClass?: Relation<SchoolClass>;
}
