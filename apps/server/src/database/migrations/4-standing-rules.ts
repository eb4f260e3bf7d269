import type { MigrationInterface, QueryRunner } from 'typeorm';

const ID = 'CHAR(36) CHARACTER SET ascii COLLATE ascii_bin';

/** A class keeps rules; own assignments are kept as ready-made ones, put away, opened later, and show their reference. */
const UP = [
  `ALTER TABLE assignment ADD rules_of ${ID} NULL UNIQUE, ADD follows ${ID} NULL, ADD archived_at DATETIME(3) NULL,
    ADD CONSTRAINT assignment_rules_of FOREIGN KEY (rules_of) REFERENCES school_class (id),
    ADD CONSTRAINT assignment_follows FOREIGN KEY (follows) REFERENCES revision (id)`,
  `ALTER TABLE publication ADD opens_at DATETIME(3) NULL, ADD shows_reference BOOLEAN NOT NULL DEFAULT FALSE,
    ADD shows_example BOOLEAN NOT NULL DEFAULT TRUE`,
  `CREATE TABLE group_member (
    publication_id ${ID} NOT NULL, account_id ${ID} NOT NULL, group_number INT NOT NULL,
    PRIMARY KEY (publication_id, account_id), FOREIGN KEY (publication_id) REFERENCES publication (id),
    FOREIGN KEY (account_id) REFERENCES account (id))`,
  `CREATE TABLE looked_at (
    submission_id ${ID} NOT NULL, account_id ${ID} NOT NULL, at DATETIME(3) NOT NULL,
    PRIMARY KEY (submission_id, account_id), FOREIGN KEY (submission_id) REFERENCES submission (id),
    FOREIGN KEY (account_id) REFERENCES account (id))`,
  `CREATE TABLE ready_made (
    id ${ID} NOT NULL PRIMARY KEY, owner_id ${ID} NOT NULL, title VARCHAR(300) NOT NULL, guidance TEXT NOT NULL,
    body JSON NOT NULL, created_at DATETIME(3) NOT NULL, FOREIGN KEY (owner_id) REFERENCES account (id))`,
];

const DOWN = [
  `DROP TABLE ready_made`,
  `DROP TABLE group_member`,
  `DROP TABLE looked_at`,
  `ALTER TABLE publication DROP COLUMN opens_at, DROP COLUMN shows_reference, DROP COLUMN shows_example`,
  `ALTER TABLE assignment DROP FOREIGN KEY assignment_rules_of, DROP FOREIGN KEY assignment_follows`,
  `ALTER TABLE assignment DROP COLUMN rules_of, DROP COLUMN follows, DROP COLUMN archived_at`,
];

export class StandingRules1700000000004 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    for (const step of UP) await runner.query(step);
  }

  async down(runner: QueryRunner): Promise<void> {
    for (const step of DOWN) await runner.query(step);
  }
}
