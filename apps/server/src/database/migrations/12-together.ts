import type { MigrationInterface, QueryRunner } from 'typeorm';

const ID = 'CHAR(36) CHARACTER SET ascii COLLATE ascii_bin';

/** Working together: how far somebody has read the threads on a map, and maps shared with persons and classes. */
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
    await runner.query(`CREATE TABLE share (
      id ${ID} PRIMARY KEY,
      own_map_id ${ID} NULL,
      work_id ${ID} NULL,
      account_id ${ID} NULL,
      class_id ${ID} NULL,
      may_edit BOOLEAN NOT NULL,
      made_by ${ID} NOT NULL,
      made_at DATETIME(3) NOT NULL,
      ends_at DATETIME(3) NOT NULL,
      KEY share_of_own_map (own_map_id),
      KEY share_of_work (work_id),
      KEY share_with_account (account_id),
      KEY share_with_class (class_id),
      KEY share_ends (ends_at),
      CONSTRAINT share_own_map FOREIGN KEY (own_map_id) REFERENCES own_map (id) ON DELETE CASCADE,
      CONSTRAINT share_work FOREIGN KEY (work_id) REFERENCES work (id) ON DELETE CASCADE,
      CONSTRAINT share_account FOREIGN KEY (account_id) REFERENCES account (id) ON DELETE CASCADE,
      CONSTRAINT share_class FOREIGN KEY (class_id) REFERENCES school_class (id) ON DELETE CASCADE,
      CONSTRAINT share_maker FOREIGN KEY (made_by) REFERENCES account (id) ON DELETE CASCADE,
      CONSTRAINT share_of_one CHECK ((work_id IS NULL) <> (own_map_id IS NULL)),
      CONSTRAINT share_with_one CHECK ((account_id IS NULL) <> (class_id IS NULL))
    )`);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query(`DROP TABLE share`);
    await runner.query(`DROP TABLE comments_read`);
  }
}
