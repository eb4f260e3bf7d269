import { Column, Entity, PrimaryColumn } from 'typeorm';

@Entity('school_class')
export class SchoolClass {
  @PrimaryColumn({ type: 'char', length: 36 }) id!: string;
  @Column({ type: 'varchar', length: 100 }) name!: string;
}
