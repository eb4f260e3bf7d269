import { Column, Entity, JoinColumn, ManyToOne, PrimaryColumn } from 'typeorm';
import type { Relation } from 'typeorm';
import { Revision } from '../assignments/index.js';
import { Work } from './work.entity.js';

/** What was handed in, frozen: map, revision and report. Nothing here changes but by whom and when it was returned. */
@Entity('submission')
export class Submission {
  @PrimaryColumn({ type: 'char', length: 36 }) id!: string;
  @Column({ name: 'work_id', type: 'char', length: 36 }) workId!: string;
  @Column({ name: 'revision_id', type: 'char', length: 36 }) revisionId!: string;
  /** 1 for the first time handed in */
  @Column({ type: 'int' }) number!: number;
  @Column({ type: 'json' }) map!: Record<string, unknown>;
  @Column({ type: 'json' }) report!: Record<string, unknown>;
  @Column({ name: 'left_out', type: 'int' }) leftOut!: number;
  @Column({ type: 'varchar', length: 2000 }) note!: string;
  @Column({ name: 'handed_in_by', type: 'char', length: 36 }) handedInBy!: string;
  @Column({ name: 'handed_in_at', type: 'datetime', precision: 3 }) handedInAt!: Date;
  @Column({ type: 'boolean' }) late!: boolean;
  @Column({ name: 'returned_by', type: 'char', length: 36, nullable: true }) returnedBy!: string | null;
  @Column({ name: 'returned_at', type: 'datetime', precision: 3, nullable: true }) returnedAt!: Date | null;

  @ManyToOne(() => Work) @JoinColumn({ name: 'work_id' }) work?: Relation<Work>;
  @ManyToOne(() => Revision) @JoinColumn({ name: 'revision_id' }) revision?: Relation<Revision>;
}
