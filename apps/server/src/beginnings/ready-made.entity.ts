import { Column, Entity, PrimaryColumn } from 'typeorm';

/** An assignment as it was when a teacher kept it for the school to begin from. */
@Entity('ready_made')
export class ReadyMade {
  @PrimaryColumn({ type: 'char', length: 36 }) id!: string;
  @Column({ name: 'owner_id', type: 'char', length: 36 }) ownerId!: string;
  @Column({ type: 'varchar', length: 300 }) title!: string;
  @Column({ type: 'text' }) guidance!: string;
  @Column({ type: 'json' }) body!: object;
  @Column({ name: 'created_at', type: 'datetime', precision: 3 }) createdAt!: Date;
}
