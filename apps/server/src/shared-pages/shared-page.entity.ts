import { Column, Entity, PrimaryColumn } from 'typeorm';

/** A page of a map that is read by whoever has its link: of an own map, or of a work. */
@Entity('shared_page')
export class SharedPage {
  @PrimaryColumn({ type: 'char', length: 36 }) id!: string;
  /** 256 random bits, base64url: whoever knows it may read the page, and nothing else */
  @Column({ type: 'char', length: 43 }) token!: string;
  @Column({ name: 'made_by', type: 'char', length: 36 }) madeBy!: string;
  @Column({ name: 'own_map_id', type: 'char', length: 36, nullable: true }) ownMapId!: string | null;
  @Column({ name: 'work_id', type: 'char', length: 36, nullable: true }) workId!: string | null;
  @Column({ name: 'shows_names', type: 'boolean' }) showsNames!: boolean;
  @Column({ name: 'made_at', type: 'datetime', precision: 3 }) madeAt!: Date;
  @Column({ name: 'ends_at', type: 'datetime', precision: 3 }) endsAt!: Date;
}
