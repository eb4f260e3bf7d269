import { Column, Entity, PrimaryColumn } from 'typeorm';

/** That somebody who marks has opened a submission. */
@Entity('looked_at')
export class LookedAt {
  @PrimaryColumn({ name: 'submission_id', type: 'char', length: 36 }) submissionId!: string;
  @PrimaryColumn({ name: 'account_id', type: 'char', length: 36 }) accountId!: string;
  @Column({ type: 'datetime', precision: 3 }) at!: Date;
}
