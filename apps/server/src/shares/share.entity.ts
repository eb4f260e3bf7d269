import { Column, Entity, PrimaryColumn } from 'typeorm';

/** A map that somebody lets a person, or a class, see or draw on, until a day. */
@Entity('share')
export class Share {
  @PrimaryColumn({ type: 'char', length: 36 }) id!: string;
  /** one of the two: whose map it is says its kind */
  @Column({ name: 'own_map_id', type: 'char', length: 36, nullable: true }) ownMapId!: string | null;
  @Column({ name: 'work_id', type: 'char', length: 36, nullable: true }) workId!: string | null;
  /** one of the two: with whom */
  @Column({ name: 'account_id', type: 'char', length: 36, nullable: true }) accountId!: string | null;
  @Column({ name: 'class_id', type: 'char', length: 36, nullable: true }) classId!: string | null;
  @Column({ name: 'may_edit', type: 'boolean' }) mayEdit!: boolean;
  @Column({ name: 'made_by', type: 'char', length: 36 }) madeBy!: string;
  @Column({ name: 'made_at', type: 'datetime', precision: 3 }) madeAt!: Date;
  @Column({ name: 'ends_at', type: 'datetime', precision: 3 }) endsAt!: Date;
}
