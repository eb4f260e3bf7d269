import { Column, Entity, PrimaryColumn } from 'typeorm';

/** With whom a student makes one work of a publication; who is in no group makes one alone. */
@Entity('group_member')
export class GroupMember {
  @PrimaryColumn({ name: 'publication_id', type: 'char', length: 36 }) publicationId!: string;
  @PrimaryColumn({ name: 'account_id', type: 'char', length: 36 }) accountId!: string;
  @Column({ name: 'group_number', type: 'int' }) groupNumber!: number;
}
