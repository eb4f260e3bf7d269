import { Column, Entity, PrimaryGeneratedColumn } from 'typeorm';

/** One Yjs update in a document's append-only log. */
@Entity('live_update')
export class LiveUpdate {
  @PrimaryGeneratedColumn({ type: 'bigint', unsigned: true }) id!: string;
  @Column({ name: 'document_name', type: 'varchar', length: 64 }) documentName!: string;
  @Column({ type: 'longblob' }) data!: Buffer;
}
