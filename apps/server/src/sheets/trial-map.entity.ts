import { Column, Entity, PrimaryColumn } from 'typeorm';

/** A map kept beside a sheet to try its requirements on. The map itself is a live document. */
@Entity('trial_map')
export class TrialMap {
  @PrimaryColumn({ type: 'char', length: 36 }) id!: string;
  @Column({ name: 'assignment_id', type: 'char', length: 36 }) assignmentId!: string;
  @Column({ type: 'varchar', length: 100 }) name!: string;
  @Column({ name: 'created_at', type: 'datetime', precision: 3 }) createdAt!: Date;
}
