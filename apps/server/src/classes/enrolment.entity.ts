import { Column, Entity, JoinColumn, ManyToOne, PrimaryColumn } from 'typeorm';
import type { Relation } from 'typeorm';
import type { Part } from '@ichnograph/contract';
import { Account } from '../accounts/index.js';
import { SchoolClass } from './school-class.entity.js';

/** A person's place in a class. What anyone may see follows from these rows alone. */
@Entity('enrolment')
export class Enrolment {
  @PrimaryColumn({ name: 'class_id', type: 'char', length: 36 }) classId!: string;
  @PrimaryColumn({ name: 'account_id', type: 'char', length: 36 }) accountId!: string;
  @Column({ type: 'varchar', length: 16 }) part!: Part;

  @ManyToOne(() => Account) @JoinColumn({ name: 'account_id' }) account?: Relation<Account>;
  @ManyToOne(() => SchoolClass) @JoinColumn({ name: 'class_id' }) schoolClass?: Relation<SchoolClass>;
}
