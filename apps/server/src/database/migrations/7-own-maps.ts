import type { MigrationInterface, QueryRunner } from 'typeorm';

const ID = 'CHAR(36) CHARACTER SET ascii COLLATE ascii_bin';

/** Maps outside any assignment. */
export class OwnMaps1700000000007 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(
      `CREATE TABLE own_map (
        id ${ID} NOT NULL PRIMARY KEY, owner_id ${ID} NOT NULL, folder VARCHAR(100) NOT NULL, title VARCHAR(300) NOT NULL,
        topics INT NOT NULL, links INT NOT NULL, words TEXT NOT NULL, legend JSON NOT NULL, changed_at DATETIME(3) NOT NULL,
        KEY own_map_of (owner_id, changed_at), FOREIGN KEY (owner_id) REFERENCES account (id))`,
    );
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('DROP TABLE own_map');
  }
}
