import { Column, Entity, PrimaryColumn } from 'typeorm';

/** A map that belongs to no assignment. The map itself is a live document; what a list shows of it is kept here. */
@Entity('own_map')
export class OwnMap {
  @PrimaryColumn({ type: 'char', length: 36 }) id!: string;
  @Column({ name: 'owner_id', type: 'char', length: 36 }) ownerId!: string;
  /** empty: in no folder */
  @Column({ type: 'varchar', length: 100 }) folder!: string;
  @Column({ type: 'varchar', length: 300 }) title!: string;
  @Column({ type: 'int' }) topics!: number;
  @Column({ type: 'int' }) links!: number;
  /** the words of its topics, for searching */
  @Column({ type: 'text' }) words!: string;
  @Column({ type: 'json' }) legend!: Record<string, unknown>;
  @Column({ name: 'changed_at', type: 'datetime', precision: 3 }) changedAt!: Date;
}
