import type { MigrationInterface, QueryRunner } from 'typeorm';

const ID = 'CHAR(36) CHARACTER SET ascii COLLATE ascii_bin';

/** Everything the first loop needs. Instants are UTC with milliseconds. */
const TABLES = [
  `CREATE TABLE school (id TINYINT PRIMARY KEY CHECK (id = 1), name VARCHAR(100) NOT NULL, time_zone VARCHAR(64) NOT NULL)`,
  `CREATE TABLE account (
    id ${ID} PRIMARY KEY, name VARCHAR(40) NOT NULL UNIQUE, given_name VARCHAR(60) NOT NULL, family_name VARCHAR(60) NOT NULL,
    role VARCHAR(16) NOT NULL, password_hash VARCHAR(255) NOT NULL, created_at DATETIME(3) NOT NULL)`,
  `CREATE TABLE session (
    id ${ID} PRIMARY KEY, token_hash CHAR(64) NOT NULL UNIQUE, account_id ${ID} NOT NULL, expires_at DATETIME(3) NOT NULL,
    INDEX (expires_at), FOREIGN KEY (account_id) REFERENCES account (id))`,
  `CREATE TABLE school_class (id ${ID} PRIMARY KEY, name VARCHAR(100) NOT NULL)`,
  `CREATE TABLE enrolment (
    class_id ${ID} NOT NULL, account_id ${ID} NOT NULL, part VARCHAR(16) NOT NULL, PRIMARY KEY (class_id, account_id),
    FOREIGN KEY (class_id) REFERENCES school_class (id), FOREIGN KEY (account_id) REFERENCES account (id))`,
  `CREATE TABLE assignment (
    id ${ID} PRIMARY KEY, owner_id ${ID} NOT NULL, title VARCHAR(300) NOT NULL, created_at DATETIME(3) NOT NULL,
    FOREIGN KEY (owner_id) REFERENCES account (id))`,
  `CREATE TABLE revision (
    id ${ID} PRIMARY KEY, assignment_id ${ID} NOT NULL, number INT NOT NULL, body JSON NOT NULL, created_at DATETIME(3) NOT NULL,
    UNIQUE (assignment_id, number), FOREIGN KEY (assignment_id) REFERENCES assignment (id))`,
  `CREATE TABLE publication (
    id ${ID} PRIMARY KEY, revision_id ${ID} NOT NULL, class_id ${ID} NOT NULL, due DATETIME(3) NULL,
    may_hand_in_again BOOLEAN NOT NULL, created_at DATETIME(3) NOT NULL, UNIQUE (revision_id, class_id),
    FOREIGN KEY (revision_id) REFERENCES revision (id), FOREIGN KEY (class_id) REFERENCES school_class (id))`,
  `CREATE TABLE work (
    id ${ID} PRIMARY KEY, publication_id ${ID} NOT NULL, revision_id ${ID} NOT NULL, state VARCHAR(16) NOT NULL,
    begun_at DATETIME(3) NOT NULL, UNIQUE (id, publication_id),
    FOREIGN KEY (publication_id) REFERENCES publication (id), FOREIGN KEY (revision_id) REFERENCES revision (id))`,
  `CREATE TABLE work_member (
    work_id ${ID} NOT NULL, account_id ${ID} NOT NULL, publication_id ${ID} NOT NULL, PRIMARY KEY (work_id, account_id),
    UNIQUE (publication_id, account_id), FOREIGN KEY (work_id, publication_id) REFERENCES work (id, publication_id),
    FOREIGN KEY (account_id) REFERENCES account (id))`,
  `CREATE TABLE live_document (name VARCHAR(64) CHARACTER SET ascii PRIMARY KEY, compacted LONGBLOB NOT NULL)`,
  `CREATE TABLE live_update (
    id BIGINT UNSIGNED AUTO_INCREMENT PRIMARY KEY, document_name VARCHAR(64) CHARACTER SET ascii NOT NULL,
    data LONGBLOB NOT NULL, INDEX (document_name, id),
    FOREIGN KEY (document_name) REFERENCES live_document (name))`,
  `CREATE TABLE submission (
    id ${ID} PRIMARY KEY, work_id ${ID} NOT NULL, revision_id ${ID} NOT NULL, number INT NOT NULL, map JSON NOT NULL,
    report JSON NOT NULL, left_out INT NOT NULL, note VARCHAR(2000) NOT NULL, handed_in_by ${ID} NOT NULL,
    handed_in_at DATETIME(3) NOT NULL, late BOOLEAN NOT NULL, returned_by ${ID} NULL, returned_at DATETIME(3) NULL,
    UNIQUE (work_id, number), FOREIGN KEY (work_id) REFERENCES work (id), FOREIGN KEY (revision_id) REFERENCES revision (id),
    FOREIGN KEY (handed_in_by) REFERENCES account (id), FOREIGN KEY (returned_by) REFERENCES account (id))`,
  `CREATE TABLE comment (
    id ${ID} PRIMARY KEY, submission_id ${ID} NOT NULL, anchor VARCHAR(16) NOT NULL, target VARCHAR(200) NULL,
    text VARCHAR(2000) NOT NULL, author_id ${ID} NOT NULL, at DATETIME(3) NOT NULL,
    FOREIGN KEY (submission_id) REFERENCES submission (id), FOREIGN KEY (author_id) REFERENCES account (id))`,
];

export class FirstLoop1700000000001 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    for (const table of TABLES) await runner.query(table);
  }

  async down(runner: QueryRunner): Promise<void> {
    const names = TABLES.map((table) => /CREATE TABLE (\w+)/.exec(table)![1]!);
    for (const name of names.reverse()) await runner.query(`DROP TABLE ${name}`);
  }
}
