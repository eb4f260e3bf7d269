import { Column, Entity, PrimaryColumn } from 'typeorm';

/** A browser in which an account signed in with its password. */
@Entity('known_device')
export class KnownDevice {
  /** SHA-256 of what the browser keeps, so that a stolen table opens nothing */
  @PrimaryColumn({ name: 'token_hash', type: 'char', length: 64 }) tokenHash!: string;
  @PrimaryColumn({ name: 'account_id', type: 'char', length: 36 }) accountId!: string;
  @Column({ type: 'datetime', precision: 3 }) at!: Date;
}
