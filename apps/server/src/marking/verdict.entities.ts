import type { Verdict } from '@ichnograph/core';
import { Column, Entity, PrimaryColumn } from 'typeorm';

/** The word on one proposition, or on what shows a target; named by a hash of its key, for keys have any length. */
export abstract class VerdictEntry {
  @PrimaryColumn({ name: 'said_hash', type: 'char', length: 64 }) saidHash!: string;
  /** the key itself */
  @Column({ type: 'text' }) said!: string;
  @Column({ type: 'varchar', length: 8 }) verdict!: Verdict;
  /** true, but says too little: its student is asked to say how */
  @Column({ type: 'boolean' }) thin!: boolean;
  @Column({ type: 'varchar', length: 2000 }) remark!: string;
  @Column({ name: 'author_id', type: 'char', length: 36 }) authorId!: string;
  @Column({ type: 'datetime', precision: 3 }) at!: Date;
}

/** A verdict that holds in every map of a class that says it, in the assignment as that class has it. */
@Entity('class_verdict')
export class ClassVerdict extends VerdictEntry {
  @PrimaryColumn({ name: 'publication_id', type: 'char', length: 36 }) publicationId!: string;
}

/** A verdict for the one work in which it is another than in the class. */
@Entity('map_verdict')
export class MapVerdict extends VerdictEntry {
  @PrimaryColumn({ name: 'work_id', type: 'char', length: 36 }) workId!: string;
}
