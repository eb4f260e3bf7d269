import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Marks of single members of a group. */
export class Ideas1700000000013 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`ALTER TABLE submission ADD COLUMN own_marks JSON NULL`);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query(`ALTER TABLE submission DROP COLUMN own_marks`);
  }
}
