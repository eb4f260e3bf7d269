import { Column, Entity, PrimaryColumn } from 'typeorm';

/** The one school of an installation. */
@Entity('school')
export class School {
  @PrimaryColumn({ type: 'tinyint' }) id!: number;
  @Column({ type: 'varchar', length: 100 }) name!: string;
  @Column({ name: 'time_zone', type: 'varchar', length: 64 }) timeZone!: string;
}
