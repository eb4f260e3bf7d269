import type { MigrationInterface, QueryRunner } from 'typeorm';

const ID = 'CHAR(36) CHARACTER SET ascii COLLATE ascii_bin';

/** Maps from elsewhere: the file a submission was brought in from. And maps for others: pages that are read by a link. */
export class OpenFormats1700000000011 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`ALTER TABLE submission ADD COLUMN brought_from VARCHAR(255) NULL`);
    await runner.query(`CREATE TABLE shared_page (
      id ${ID} PRIMARY KEY,
      token CHAR(43) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
      made_by ${ID} NOT NULL,
      own_map_id ${ID} NULL,
      work_id ${ID} NULL,
      shows_names BOOLEAN NOT NULL,
      made_at DATETIME(3) NOT NULL,
      ends_at DATETIME(3) NOT NULL,
      UNIQUE KEY shared_page_token (token),
      KEY shared_page_of_own_map (own_map_id),
      KEY shared_page_of_work (work_id),
      CONSTRAINT shared_page_maker FOREIGN KEY (made_by) REFERENCES account (id) ON DELETE CASCADE,
      CONSTRAINT shared_page_own_map FOREIGN KEY (own_map_id) REFERENCES own_map (id) ON DELETE CASCADE,
      CONSTRAINT shared_page_work FOREIGN KEY (work_id) REFERENCES work (id) ON DELETE CASCADE,
      CONSTRAINT shared_page_of_one CHECK ((work_id IS NULL) <> (own_map_id IS NULL))
    )`);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query(`DROP TABLE shared_page`);
    await runner.query(`ALTER TABLE submission DROP COLUMN brought_from`);
  }
}
