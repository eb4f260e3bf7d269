import type { MigrationInterface, QueryRunner } from 'typeorm';

const ID = 'CHAR(36) CHARACTER SET ascii COLLATE ascii_bin';

/** Points in a map's history: named by a person, or kept by themselves while it is worked on. */
export class Versions1700000000005 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(
      `CREATE TABLE map_version (
        id ${ID} NOT NULL PRIMARY KEY, work_id ${ID} NOT NULL, at DATETIME(3) NOT NULL, name VARCHAR(200) NULL,
        by_id ${ID} NULL, topics INT NOT NULL, links INT NOT NULL, map JSON NOT NULL,
        KEY map_version_of_work (work_id, at), FOREIGN KEY (work_id) REFERENCES work (id),
        FOREIGN KEY (by_id) REFERENCES account (id))`,
    );
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('DROP TABLE map_version');
  }
}
