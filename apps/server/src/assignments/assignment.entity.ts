import { Column, Entity, PrimaryColumn } from 'typeorm';

@Entity('assignment')
export class Assignment {
  @PrimaryColumn({ type: 'char', length: 36 }) id!: string;
  @Column({ name: 'owner_id', type: 'char', length: 36 }) ownerId!: string;
  @Column({ type: 'varchar', length: 300 }) title!: string;
  /** the class whose standing rules these are; null for an assignment that can be given out */
  @Column({ name: 'rules_of', type: 'char', length: 36, nullable: true }) rulesOf!: string | null;
  /** the revision of a class's standing rules that the sheet last took over */
  @Column({ type: 'char', length: 36, nullable: true }) follows!: string | null;
  /** since when it is put away */
  @Column({ name: 'archived_at', type: 'datetime', precision: 3, nullable: true }) archivedAt!: Date | null;
  @Column({ name: 'created_at', type: 'datetime', precision: 3 }) createdAt!: Date;
}
