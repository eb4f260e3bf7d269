import type { MigrationInterface, QueryRunner } from 'typeorm';

const ID = 'CHAR(36) CHARACTER SET ascii COLLATE ascii_bin';
const HASH = 'CHAR(64) CHARACTER SET ascii COLLATE ascii_bin';
const VERDICT = `said TEXT NOT NULL, verdict VARCHAR(8) NOT NULL, thin BOOLEAN NOT NULL, remark VARCHAR(2000) NOT NULL,
  author_id ${ID} NOT NULL, at DATETIME(3) NOT NULL, FOREIGN KEY (author_id) REFERENCES account (id)`;

/** Verdicts, the remark bank, a second marker, and comments on what is still being drawn. */
const STEPS = [
  `CREATE TABLE class_verdict (
    assignment_id ${ID} NOT NULL, said_hash ${HASH} NOT NULL, ${VERDICT}, PRIMARY KEY (assignment_id, said_hash),
    FOREIGN KEY (assignment_id) REFERENCES assignment (id))`,
  `CREATE TABLE map_verdict (
    work_id ${ID} NOT NULL, said_hash ${HASH} NOT NULL, ${VERDICT}, PRIMARY KEY (work_id, said_hash),
    FOREIGN KEY (work_id) REFERENCES work (id))`,
  `CREATE TABLE remark (
    id ${ID} NOT NULL PRIMARY KEY, owner_id ${ID} NOT NULL, assignment_id ${ID} NULL, text VARCHAR(2000) NOT NULL,
    requirement VARCHAR(200) NULL, evidence VARCHAR(100) NULL, uses INT NOT NULL, used_at DATETIME(3) NOT NULL,
    KEY remark_of (owner_id, used_at), FOREIGN KEY (owner_id) REFERENCES account (id),
    FOREIGN KEY (assignment_id) REFERENCES assignment (id))`,
  `CREATE TABLE second_mark (
    submission_id ${ID} NOT NULL, criterion VARCHAR(200) NOT NULL, level INT NOT NULL, author_id ${ID} NOT NULL,
    at DATETIME(3) NOT NULL, PRIMARY KEY (submission_id, criterion),
    FOREIGN KEY (submission_id) REFERENCES submission (id), FOREIGN KEY (author_id) REFERENCES account (id))`,
  `ALTER TABLE submission ADD COLUMN returned_verdicts JSON NULL, ADD COLUMN letter VARCHAR(4000) NULL`,
  `ALTER TABLE mark_change MODIFY subject VARCHAR(2000) NOT NULL`,
  `ALTER TABLE publication ADD COLUMN second_marker_id ${ID} NULL,
    ADD CONSTRAINT publication_second_marker FOREIGN KEY (second_marker_id) REFERENCES account (id)`,
  `ALTER TABLE comment ADD COLUMN batch ${ID} NULL, ADD COLUMN of_verdict BOOLEAN NOT NULL DEFAULT FALSE,
    ADD COLUMN settled_at DATETIME(3) NULL, ADD COLUMN work_id ${ID} NULL, MODIFY submission_id ${ID} NULL,
    ADD KEY comment_batch (batch), ADD FOREIGN KEY comment_work (work_id) REFERENCES work (id)`,
];

export class Marking1700000000008 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    for (const step of STEPS) await runner.query(step);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query(
      'ALTER TABLE comment DROP FOREIGN KEY comment_work, DROP COLUMN work_id, DROP KEY comment_batch, DROP COLUMN batch, DROP COLUMN of_verdict, DROP COLUMN settled_at',
    );
    await runner.query(
      'ALTER TABLE publication DROP FOREIGN KEY publication_second_marker, DROP COLUMN second_marker_id',
    );
    await runner.query('ALTER TABLE mark_change MODIFY subject VARCHAR(200) NOT NULL');
    await runner.query('ALTER TABLE submission DROP COLUMN returned_verdicts, DROP COLUMN letter');
    for (const table of ['second_mark', 'remark', 'map_verdict', 'class_verdict'])
      await runner.query(`DROP TABLE ${table}`);
  }
}
