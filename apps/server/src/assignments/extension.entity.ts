import { Column, Entity, PrimaryColumn } from 'typeorm';

/** More time for one student of a publication. */
@Entity('extension')
export class Extension {
  @PrimaryColumn({ name: 'publication_id', type: 'char', length: 36 }) publicationId!: string;
  @PrimaryColumn({ name: 'account_id', type: 'char', length: 36 }) accountId!: string;
  @Column({ type: 'datetime', precision: 3 }) due!: Date;
}
