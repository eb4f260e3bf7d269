import { Column, Entity, PrimaryColumn } from 'typeorm';

/** How far somebody has read what is said on a map while it is drawn. */
@Entity('comments_read')
export class CommentsRead {
  @PrimaryColumn({ name: 'work_id', type: 'char', length: 36 }) workId!: string;
  @PrimaryColumn({ name: 'account_id', type: 'char', length: 36 }) accountId!: string;
  @Column({ type: 'datetime', precision: 3 }) until!: Date;
}
