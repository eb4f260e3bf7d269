import { Column, Entity, PrimaryColumn } from 'typeorm';

/** A comment kept for use again, with the requirement and evidence that it was last used with. */
@Entity('remark')
export class Remark {
  @PrimaryColumn({ type: 'char', length: 36 }) id!: string;
  @Column({ name: 'owner_id', type: 'char', length: 36 }) ownerId!: string;
  /** kept with one assignment; null where it is the teacher's for all */
  @Column({ name: 'assignment_id', type: 'char', length: 36, nullable: true }) assignmentId!: string | null;
  @Column({ type: 'varchar', length: 2000 }) text!: string;
  @Column({ type: 'varchar', length: 200, nullable: true }) requirement!: string | null;
  /** the code of the evidence */
  @Column({ type: 'varchar', length: 100, nullable: true }) evidence!: string | null;
  @Column({ type: 'int' }) uses!: number;
  @Column({ name: 'used_at', type: 'datetime', precision: 3 }) usedAt!: Date;
}
