import { Column, Entity, OneToMany, PrimaryColumn } from 'typeorm';
import type { Relation } from 'typeorm';
import type { SentIdea } from './sent-idea.entity.js';

/** What a class said to a question: alike ones, fallen together or laid together. */
@Entity('idea')
export class IdeaEntry {
  @PrimaryColumn({ type: 'char', length: 36 }) id!: string;
  @Column({ name: 'gathering_id', type: 'char', length: 36 }) gatheringId!: string;
  /** how it is called: the first words it was sent in, until somebody calls it otherwise */
  @Column({ type: 'varchar', length: 120 }) text!: string;
  @Column({ name: 'group_id', type: 'char', length: 36, nullable: true }) groupId!: string | null;
  @Column({ type: 'boolean' }) taken!: boolean;
  @Column({ type: 'boolean' }) hidden!: boolean;
  @Column({ type: 'datetime', precision: 3 }) at!: Date;

  @OneToMany('SentIdea', 'idea') sent?: Relation<SentIdea>[];
}
