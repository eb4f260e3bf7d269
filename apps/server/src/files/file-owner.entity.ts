import { Column, Entity, JoinColumn, ManyToOne, PrimaryColumn } from 'typeorm';
import type { Relation } from 'typeorm';
import { StoredFile } from './stored-file.entity.js';

/** Who brought a file, and what they call it. The same content may be several persons'. */
@Entity('file_owner')
export class FileOwner {
  @PrimaryColumn({ type: 'char', length: 64 }) hash!: string;
  @PrimaryColumn({ name: 'account_id', type: 'char', length: 36 }) accountId!: string;
  @Column({ type: 'varchar', length: 300 }) name!: string;
  @Column({ type: 'datetime', precision: 3 }) at!: Date;

  /** taken out of what they choose from */
  @Column({ type: 'boolean', default: false }) away!: boolean;

  @ManyToOne(() => StoredFile) @JoinColumn({ name: 'hash' }) file?: Relation<StoredFile>;
}
