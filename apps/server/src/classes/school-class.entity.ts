import { Column, Entity, PrimaryColumn } from 'typeorm';

@Entity('school_class')
export class SchoolClass {
  @PrimaryColumn({ type: 'char', length: 36 }) id!: string;
  @Column({ type: 'varchar', length: 100 }) name!: string;
  /** lets a signed-in student in; null while nobody may come in by one */
  @Column({ name: 'join_code', type: 'varchar', length: 12, nullable: true, unique: true }) joinCode!: string | null;
  @Column({ name: 'archived_at', type: 'datetime', precision: 3, nullable: true }) archivedAt!: Date | null;
}
