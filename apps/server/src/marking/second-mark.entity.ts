import { Column, Entity, PrimaryColumn } from 'typeorm';

/** A level that a second marker gave, blind to the first's. */
@Entity('second_mark')
export class SecondMark {
  @PrimaryColumn({ name: 'submission_id', type: 'char', length: 36 }) submissionId!: string;
  @PrimaryColumn({ type: 'varchar', length: 200 }) criterion!: string;
  @Column({ type: 'int' }) level!: number;
  @Column({ name: 'author_id', type: 'char', length: 36 }) authorId!: string;
  @Column({ type: 'datetime', precision: 3 }) at!: Date;
}
