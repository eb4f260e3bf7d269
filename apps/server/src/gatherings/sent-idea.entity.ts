import { Column, Entity, JoinColumn, ManyToOne, PrimaryColumn } from 'typeorm';
import type { Relation } from 'typeorm';
import { Account } from '../accounts/index.js';
import { IdeaEntry } from './idea.entity.js';

/** One idea, as one person sent it. */
@Entity('sent_idea')
export class SentIdea {
  @PrimaryColumn({ type: 'char', length: 36 }) id!: string;
  @Column({ name: 'idea_id', type: 'char', length: 36 }) ideaId!: string;
  @Column({ name: 'account_id', type: 'char', length: 36 }) accountId!: string;
  @Column({ type: 'varchar', length: 120 }) text!: string;
  @Column({ type: 'tinyint' }) round!: 1 | 2;
  @Column({ type: 'datetime', precision: 3 }) at!: Date;

  @ManyToOne(() => IdeaEntry, (idea) => idea.sent) @JoinColumn({ name: 'idea_id' }) idea?: Relation<IdeaEntry>;
  @ManyToOne(() => Account) @JoinColumn({ name: 'account_id' }) account?: Relation<Account>;
}
