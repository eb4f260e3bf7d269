import { Column, Entity, JoinColumn, ManyToOne, PrimaryColumn } from 'typeorm';
import type { Relation } from 'typeorm';
import type { OwnMark } from '@ichnograph/contract';
import { Revision } from '../assignments/index.js';
import { Work } from '../works/index.js';

/** A member's mark, and the letter that names it, once it is returned. */
export interface OwnMarkKept extends OwnMark {
  letter?: string;
}

/** What was handed in, frozen: map, revision and report. Nothing here changes but its way back (by whom and when returned, when first read), the figures of its mark, and, where it is checked again under a newer revision, that revision with its report. */
@Entity('submission')
export class Submission {
  @PrimaryColumn({ type: 'char', length: 36 }) id!: string;
  @Column({ name: 'work_id', type: 'char', length: 36 }) workId!: string;
  @Column({ name: 'revision_id', type: 'char', length: 36 }) revisionId!: string;
  /** 1 for the first time handed in */
  @Column({ type: 'int' }) number!: number;
  /** map and report are asked for where one submission is shown, and nowhere else */
  @Column({ type: 'json', select: false }) map!: Record<string, unknown>;
  @Column({ type: 'json', select: false }) report!: Record<string, unknown>;
  /** the report's own figures, for lists */
  @Column({ type: 'double' }) earned!: number;
  @Column({ name: 'out_of', type: 'double' }) outOf!: number;
  @Column({ type: 'double' }) extra!: number;
  @Column({ type: 'int' }) flags!: number;
  /** when it was due, with the student's extension, at the moment it was handed in */
  @Column({ type: 'datetime', precision: 3, nullable: true }) due!: Date | null;
  /** its mark in figures, with what the teacher has judged so far */
  @Column({ type: 'double' }) sum!: number;
  @Column({ name: 'sum_out_of', type: 'double' }) sumOutOf!: number;
  @Column({ name: 'not_judged', type: 'int' }) notJudged!: number;
  @Column({ name: 'left_out', type: 'int' }) leftOut!: number;
  @Column({ type: 'varchar', length: 2000 }) note!: string;
  @Column({ name: 'handed_in_by', type: 'char', length: 36 }) handedInBy!: string;
  @Column({ name: 'handed_in_at', type: 'datetime', precision: 3 }) handedInAt!: Date;
  @Column({ type: 'boolean' }) late!: boolean;
  @Column({ name: 'returned_by', type: 'char', length: 36, nullable: true }) returnedBy!: string | null;
  @Column({ name: 'returned_at', type: 'datetime', precision: 3, nullable: true }) returnedAt!: Date | null;
  /** what marks ask of the map (core's `MarkReading`), read with its revision */
  @Column({ type: 'json', nullable: true, select: false }) reading!: object | null;
  /** the mark on its assignment's scale (core's `ShownMark`); null until it is first summed */
  @Column({ type: 'json', nullable: true }) shown!: object | null;
  /** what members of a group have who have another mark; null where nobody has */
  @Column({ name: 'own_marks', type: 'json', nullable: true }) ownMarks!: OwnMarkKept[] | null;
  /** the mark it was returned with (core's `MarkDetail`) */
  @Column({ name: 'returned_mark', type: 'json', nullable: true, select: false }) returnedMark!: object | null;
  /** its propositions with the verdicts it was returned with */
  @Column({ name: 'returned_verdicts', type: 'json', nullable: true, select: false }) returnedVerdicts!: object | null;
  /** what was written to its students with the return */
  @Column({ type: 'varchar', length: 4000, nullable: true }) letter!: string | null;
  /** the file it was brought in from, by whoever handed it in for its students; null where they drew it here */
  @Column({ name: 'brought_from', type: 'varchar', length: 255, nullable: true }) broughtFrom!: string | null;
  /** when a member first saw what was returned: until then the return can be taken back */
  @Column({ name: 'opened_at', type: 'datetime', precision: 3, nullable: true }) openedAt!: Date | null;

  @ManyToOne(() => Work) @JoinColumn({ name: 'work_id' }) work?: Relation<Work>;
  @ManyToOne(() => Revision) @JoinColumn({ name: 'revision_id' }) revision?: Relation<Revision>;
}
