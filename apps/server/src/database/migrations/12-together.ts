import type { MigrationInterface, QueryRunner } from 'typeorm';

const ID = 'CHAR(36) CHARACTER SET ascii COLLATE ascii_bin';

/** Working together: how far somebody has read the threads on a map. */
export class Together1700000000012 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`CREATE TABLE comments_read (
      work_id ${ID} NOT NULL,
      account_id ${ID} NOT NULL,
      until DATETIME(3) NOT NULL,
      PRIMARY KEY (work_id, account_id),
      CONSTRAINT comments_read_work FOREIGN KEY (work_id) REFERENCES work (id) ON DELETE CASCADE,
      CONSTRAINT comments_read_account FOREIGN KEY (account_id) REFERENCES account (id) ON DELETE CASCADE
    )`);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query(`DROP TABLE comments_read`);
  }
}
