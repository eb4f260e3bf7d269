import { Column, Entity, PrimaryColumn } from 'typeorm';
import type { Role } from '@ichnograph/contract';

@Entity('account')
export class Account {
  @PrimaryColumn({ type: 'char', length: 36 }) id!: string;
  /** the sign-in name, unique */
  @Column({ type: 'varchar', length: 40, unique: true }) name!: string;
  @Column({ name: 'given_name', type: 'varchar', length: 60 }) givenName!: string;
  @Column({ name: 'family_name', type: 'varchar', length: 60 }) familyName!: string;
  @Column({ type: 'varchar', length: 16 }) role!: Role;
  /** argon2id, in its own encoded form */
  @Column({ name: 'password_hash', type: 'varchar', length: 255, select: false }) passwordHash!: string;
  /** whether the password is a first one, which another person made */
  @Column({ name: 'must_change_password', type: 'boolean', default: false }) mustChangePassword!: boolean;
  /** who made its first password anew, and when, until it is changed: its owner is told */
  @Column({ name: 'reset_by', type: 'char', length: 36, nullable: true }) resetBy!: string | null;
  @Column({ name: 'reset_at', type: 'datetime', precision: 3, nullable: true }) resetAt!: Date | null;
  @Column({ name: 'created_at', type: 'datetime', precision: 3 }) createdAt!: Date;
}
