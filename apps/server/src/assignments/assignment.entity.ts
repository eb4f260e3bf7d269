import { Column, Entity, PrimaryColumn } from 'typeorm';

@Entity('assignment')
export class Assignment {
  @PrimaryColumn({ type: 'char', length: 36 }) id!: string;
  @Column({ name: 'owner_id', type: 'char', length: 36 }) ownerId!: string;
  @Column({ type: 'varchar', length: 300 }) title!: string;
  @Column({ name: 'created_at', type: 'datetime', precision: 3 }) createdAt!: Date;
}
