import { Column, Entity, PrimaryColumn } from 'typeorm';
import type { JudgementKind } from '@ichnograph/contract';

/** What a teacher gave in place of the computer, or beside it: points of a result, or a level of a criterion. */
@Entity('judgement')
export class JudgementEntry {
  @PrimaryColumn({ name: 'submission_id', type: 'char', length: 36 }) submissionId!: string;
  @PrimaryColumn({ type: 'varchar', length: 16 }) kind!: JudgementKind;
  /** the requirement's or criterion's id */
  @PrimaryColumn({ type: 'varchar', length: 200 }) subject!: string;
  /** points, or the position of a level */
  @Column({ type: 'double' }) value!: number;
  @Column({ type: 'varchar', length: 2000 }) reason!: string;
  @Column({ name: 'author_id', type: 'char', length: 36 }) authorId!: string;
  @Column({ type: 'datetime', precision: 3 }) at!: Date;
}
