import { Column, Entity, PrimaryColumn } from 'typeorm';

@Entity('session')
export class Session {
  @PrimaryColumn({ type: 'char', length: 36 }) id!: string;
  /** SHA-256 of the cookie's token, so that a stolen table opens nothing */
  @Column({ name: 'token_hash', type: 'char', length: 64, unique: true }) tokenHash!: string;
  @Column({ name: 'account_id', type: 'char', length: 36 }) accountId!: string;
  @Column({ name: 'expires_at', type: 'datetime', precision: 3 }) expiresAt!: Date;
}
