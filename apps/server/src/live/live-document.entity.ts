import { Column, Entity, PrimaryColumn } from 'typeorm';

/** A live document: what its log held when it was last compacted. */
@Entity('live_document')
export class LiveDocument {
  /** the name it goes by on a connection, such as `work:…` */
  @PrimaryColumn({ type: 'varchar', length: 64 }) name!: string;
  @Column({ type: 'longblob' }) compacted!: Buffer;
}
