import { Column, Entity, JoinColumn, ManyToOne, OneToMany, PrimaryColumn } from 'typeorm';
import type { Relation } from 'typeorm';
import type { WorkState } from '@ichnograph/contract';
import { Publication, Revision } from '../assignments/index.js';
import { WorkMember } from './work-member.entity.js';

/** One student's or one group's doing of one assignment. Pinned to a revision. */
@Entity('work')
export class Work {
  @PrimaryColumn({ type: 'char', length: 36 }) id!: string;
  @Column({ name: 'publication_id', type: 'char', length: 36 }) publicationId!: string;
  @Column({ name: 'revision_id', type: 'char', length: 36 }) revisionId!: string;
  @Column({ type: 'varchar', length: 16 }) state!: WorkState;
  /** the revision it moved on from, until its members have read what is new */
  @Column({ name: 'moved_from', type: 'char', length: 36, nullable: true }) movedFrom!: string | null;
  /** the revision it is just being moved on to */
  @Column({ name: 'moving_to', type: 'char', length: 36, nullable: true }) movingTo!: string | null;
  @Column({ name: 'begun_at', type: 'datetime', precision: 3 }) begunAt!: Date;

  @ManyToOne(() => Publication) @JoinColumn({ name: 'publication_id' }) publication?: Relation<Publication>;
  @ManyToOne(() => Revision) @JoinColumn({ name: 'revision_id' }) revision?: Relation<Revision>;
  @OneToMany(() => WorkMember, (member) => member.work) members?: Relation<WorkMember>[];
}
