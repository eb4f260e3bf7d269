import type { MigrationInterface, QueryRunner } from 'typeorm';

const ID = 'CHAR(36) CHARACTER SET ascii COLLATE ascii_bin';
const HASH = 'CHAR(64) CHARACTER SET ascii COLLATE ascii_bin';

/** Pictures and files that people bring, named by their content, and who brought them. */
export class Files1700000000006 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(
      `CREATE TABLE stored_file (
        hash ${HASH} NOT NULL PRIMARY KEY, type VARCHAR(100) NOT NULL, bytes INT NOT NULL, width INT NULL,
        height INT NULL, sketch_hash ${HASH} NULL)`,
    );
    await runner.query(
      `CREATE TABLE file_owner (
        hash ${HASH} NOT NULL, account_id ${ID} NOT NULL, name VARCHAR(300) NOT NULL, at DATETIME(3) NOT NULL,
        PRIMARY KEY (hash, account_id), KEY file_of_account (account_id, at),
        FOREIGN KEY (hash) REFERENCES stored_file (hash), FOREIGN KEY (account_id) REFERENCES account (id))`,
    );
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('DROP TABLE file_owner');
    await runner.query('DROP TABLE stored_file');
  }
}
