import { Column, Entity, JoinColumn, ManyToOne, PrimaryColumn } from 'typeorm';
import type { Relation } from 'typeorm';
import { Account } from '../accounts/index.js';

/** A point in a map's history. Without a name it was kept by itself. */
@Entity('map_version')
export class MapVersion {
  @PrimaryColumn({ type: 'char', length: 36 }) id!: string;
  /** of a work, or of a map outside any assignment: one of the two */
  @Column({ name: 'work_id', type: 'char', length: 36, nullable: true }) workId!: string | null;
  @Column({ name: 'own_map_id', type: 'char', length: 36, nullable: true }) ownMapId!: string | null;
  @Column({ type: 'datetime', precision: 3 }) at!: Date;
  @Column({ type: 'varchar', length: 200, nullable: true }) name!: string | null;
  @Column({ name: 'by_id', type: 'char', length: 36, nullable: true }) byId!: string | null;
  @Column({ type: 'int' }) topics!: number;
  @Column({ type: 'int' }) links!: number;
  @Column({ type: 'json' }) map!: Record<string, unknown>;

  @ManyToOne(() => Account) @JoinColumn({ name: 'by_id' }) by?: Relation<Account> | null;
}
