import type { IdeaGroup } from '@ichnograph/contract';
import { Column, Entity, JoinColumn, ManyToOne, PrimaryColumn } from 'typeorm';
import type { Relation } from 'typeorm';
import { SchoolClass } from '../classes/index.js';

/** A question to a class, answered from its own devices. */
@Entity('gathering')
export class Gathering {
  @PrimaryColumn({ type: 'char', length: 36 }) id!: string;
  @Column({ name: 'class_id', type: 'char', length: 36 }) classId!: string;
  @Column({ type: 'varchar', length: 300 }) question!: string;
  /** what stands on the projector */
  @Column({ type: 'char', length: 5 }) code!: string;
  /** BCP 47: by its words ideas are alike */
  @Column({ type: 'varchar', length: 35 }) language!: string;
  @Column({ name: 'made_by', type: 'char', length: 36 }) madeBy!: string;
  @Column({ name: 'made_at', type: 'datetime', precision: 3 }) madeAt!: Date;
  @Column({ type: 'boolean' }) open!: boolean;
  /** whether students do not see who sent what */
  @Column({ type: 'boolean' }) anonymous!: boolean;
  @Column({ type: 'tinyint' }) round!: 1 | 2;
  @Column({ name: 'idea_groups', type: 'json' }) groups!: IdeaGroup[];

  @ManyToOne(() => SchoolClass) @JoinColumn({ name: 'class_id' }) schoolClass?: Relation<SchoolClass>;
}
