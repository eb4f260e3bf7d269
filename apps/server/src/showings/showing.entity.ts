import { Column, Entity, JoinColumn, ManyToOne, PrimaryColumn } from 'typeorm';
import type { Relation } from 'typeorm';
import { SchoolClass } from '../classes/index.js';

/** A map, or a tour of it, that somebody shows to a class while they speak. */
@Entity('showing')
export class Showing {
  @PrimaryColumn({ type: 'char', length: 36 }) id!: string;
  @Column({ name: 'class_id', type: 'char', length: 36 }) classId!: string;
  /** one of the two */
  @Column({ name: 'own_map_id', type: 'char', length: 36, nullable: true }) ownMapId!: string | null;
  @Column({ name: 'work_id', type: 'char', length: 36, nullable: true }) workId!: string | null;
  /** null: the map, as its presenter looks at it */
  @Column({ name: 'tour_id', type: 'varchar', length: 200, nullable: true }) tourId!: string | null;
  @Column({ name: 'made_by', type: 'char', length: 36 }) madeBy!: string;
  @Column({ name: 'began_at', type: 'datetime', precision: 3 }) beganAt!: Date;
  /** when it is over, though nobody ended it */
  @Column({ name: 'ends_at', type: 'datetime', precision: 3 }) endsAt!: Date;

  @ManyToOne(() => SchoolClass) @JoinColumn({ name: 'class_id' }) schoolClass?: Relation<SchoolClass>;
}
