import type { MigrationInterface, QueryRunner } from 'typeorm';

const ID = 'CHAR(36) CHARACTER SET ascii COLLATE ascii_bin';

/**
 * What is a person's own: files they brought can be taken out of what they choose from (maps that show them keep them), and
 * maps outside any assignment have versions, which go with them.
 */
export class OwnThings1700000000010 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`ALTER TABLE file_owner ADD COLUMN away BOOLEAN NOT NULL DEFAULT FALSE`);
    await runner.query(`ALTER TABLE map_version MODIFY work_id ${ID} NULL, ADD COLUMN own_map_id ${ID} NULL,
      ADD KEY map_version_of_own_map (own_map_id, at),
      ADD CONSTRAINT map_version_own_map FOREIGN KEY (own_map_id) REFERENCES own_map (id) ON DELETE CASCADE,
      ADD CONSTRAINT map_version_of_one CHECK ((work_id IS NULL) <> (own_map_id IS NULL))`);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query(`DELETE FROM map_version WHERE work_id IS NULL`);
    await runner.query(`ALTER TABLE map_version DROP CONSTRAINT map_version_of_one,
      DROP FOREIGN KEY map_version_own_map, DROP KEY map_version_of_own_map, DROP COLUMN own_map_id,
      MODIFY work_id ${ID} NOT NULL`);
    await runner.query(`ALTER TABLE file_owner DROP COLUMN away`);
  }
}
