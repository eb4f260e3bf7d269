import { Column, Entity, PrimaryColumn } from 'typeorm';

/** A deed that a person's client named, and what came of it. */
@Entity('act')
export class Act {
  @PrimaryColumn({ name: 'account_id', type: 'char', length: 36 }) accountId!: string;
  /** made by the client */
  @PrimaryColumn({ type: 'char', length: 36 }) id!: string;
  @Column({ type: 'varchar', length: 40 }) kind!: string;
  /** the id of what was made or changed */
  @Column({ type: 'char', length: 36, nullable: true }) result!: string | null;
  @Column({ type: 'datetime', precision: 3 }) at!: Date;
}
