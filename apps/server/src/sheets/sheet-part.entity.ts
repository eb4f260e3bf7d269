import { Column, Entity, PrimaryColumn } from 'typeorm';
import type { SheetPart as PartName } from '@ichnograph/core';

/** A part of an assignment sheet as it stands now. Who saves says which version they changed. */
@Entity('sheet_part')
export class SheetPart {
  @PrimaryColumn({ name: 'assignment_id', type: 'char', length: 36 }) assignmentId!: string;
  @PrimaryColumn({ type: 'varchar', length: 20 }) part!: PartName;
  @Column({ type: 'int' }) version!: number;
  @Column({ type: 'json' }) body!: object;
  @Column({ name: 'changed_by', type: 'char', length: 36 }) changedBy!: string;
  @Column({ name: 'changed_at', type: 'datetime', precision: 3 }) changedAt!: Date;
}
