import { Column, Entity, JoinColumn, ManyToOne, PrimaryColumn } from 'typeorm';
import type { Relation } from 'typeorm';
import { Account } from '../accounts/index.js';
import type { Work } from './work.entity.js';

@Entity('work_member')
export class WorkMember {
  @PrimaryColumn({ name: 'work_id', type: 'char', length: 36 }) workId!: string;
  @PrimaryColumn({ name: 'account_id', type: 'char', length: 36 }) accountId!: string;
  /** repeated from the work, so that a unique key can say: one work a person and publication */
  @Column({ name: 'publication_id', type: 'char', length: 36 }) publicationId!: string;

  // Named by its text: the two entities know each other, and one of them must be first.
  @ManyToOne('Work', 'members') @JoinColumn({ name: 'work_id' }) work?: Relation<Work>;
  @ManyToOne(() => Account) @JoinColumn({ name: 'account_id' }) account?: Relation<Account>;
}
