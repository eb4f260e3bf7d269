import { Column, Entity, PrimaryColumn } from 'typeorm';

/** What a class was asked to look at of one another, for one assignment. */
@Entity('review_round')
export class RoundOfReviews {
  @PrimaryColumn({ name: 'publication_id', type: 'char', length: 36 }) publicationId!: string;
  /** how many maps each is given */
  @Column({ name: 'each_given', type: 'tinyint' }) each!: number;
  @Column({ type: 'boolean' }) criteria!: boolean;
  @Column({ type: 'boolean' }) sentences!: boolean;
  @Column({ type: 'boolean' }) notes!: boolean;
  /** how much reviews count of the criteria, of 1 */
  @Column({ type: 'double' }) share!: number;
  @Column({ name: 'closes_at', type: 'datetime', precision: 3, nullable: true }) closesAt!: Date | null;
  /** from when on makers read what was said of their maps */
  @Column({ name: 'released_at', type: 'datetime', precision: 3, nullable: true }) releasedAt!: Date | null;
  /** pairs of accounts that do not look at one another's maps */
  @Column({ name: 'kept_apart', type: 'json' }) apart!: [string, string][];
  @Column({ type: 'int', unsigned: true }) seed!: number;
  @Column({ name: 'made_by', type: 'char', length: 36 }) madeBy!: string;
  @Column({ name: 'made_at', type: 'datetime', precision: 3 }) madeAt!: Date;
}
