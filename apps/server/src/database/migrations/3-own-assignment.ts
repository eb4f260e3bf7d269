import type { MigrationInterface, QueryRunner } from 'typeorm';

const ID = 'CHAR(36) CHARACTER SET ascii COLLATE ascii_bin';

/** Assignments are written on sheets; what was brought in before gets its sheet when it is first opened. */
const UP = [
  `CREATE TABLE sheet_part (
    assignment_id ${ID} NOT NULL, part VARCHAR(20) CHARACTER SET ascii COLLATE ascii_bin NOT NULL, version INT NOT NULL,
    body JSON NOT NULL, changed_by ${ID} NOT NULL, changed_at DATETIME(3) NOT NULL, PRIMARY KEY (assignment_id, part),
    FOREIGN KEY (assignment_id) REFERENCES assignment (id), FOREIGN KEY (changed_by) REFERENCES account (id))`,
  `CREATE TABLE trial_map (
    id ${ID} NOT NULL PRIMARY KEY, assignment_id ${ID} NOT NULL, name VARCHAR(100) NOT NULL,
    created_at DATETIME(3) NOT NULL, FOREIGN KEY (assignment_id) REFERENCES assignment (id))`,

  `ALTER TABLE account ADD must_change_password BOOLEAN NOT NULL DEFAULT FALSE`,
  `ALTER TABLE school_class ADD join_code VARCHAR(12) CHARACTER SET ascii COLLATE ascii_bin NULL UNIQUE,
    ADD archived_at DATETIME(3) NULL`,
  `ALTER TABLE publication ADD closed_at DATETIME(3) NULL`,
  `ALTER TABLE work ADD moved_from ${ID} NULL, ADD moving_to ${ID} NULL`,
  `CREATE TABLE extension (
    publication_id ${ID} NOT NULL, account_id ${ID} NOT NULL, due DATETIME(3) NOT NULL,
    PRIMARY KEY (publication_id, account_id), FOREIGN KEY (publication_id) REFERENCES publication (id),
    FOREIGN KEY (account_id) REFERENCES account (id))`,
  `CREATE TABLE comment_answer (
    id ${ID} NOT NULL PRIMARY KEY, comment_id ${ID} NOT NULL, text VARCHAR(2000) NOT NULL, author_id ${ID} NOT NULL,
    at DATETIME(3) NOT NULL, FOREIGN KEY (comment_id) REFERENCES comment (id),
    FOREIGN KEY (author_id) REFERENCES account (id))`,
  `CREATE TABLE judgement (
    submission_id ${ID} NOT NULL, kind VARCHAR(16) NOT NULL, subject VARCHAR(200) NOT NULL, value DOUBLE NOT NULL,
    reason VARCHAR(2000) NOT NULL, author_id ${ID} NOT NULL, at DATETIME(3) NOT NULL,
    PRIMARY KEY (submission_id, kind, subject), FOREIGN KEY (submission_id) REFERENCES submission (id),
    FOREIGN KEY (author_id) REFERENCES account (id))`,
  `CREATE TABLE mark_change (
    id BIGINT NOT NULL AUTO_INCREMENT PRIMARY KEY, submission_id ${ID} NOT NULL, kind VARCHAR(16) NOT NULL,
    subject VARCHAR(200) NOT NULL, before_value DOUBLE NULL, after_value DOUBLE NULL, reason VARCHAR(2000) NOT NULL,
    author_id ${ID} NOT NULL, at DATETIME(3) NOT NULL, FOREIGN KEY (submission_id) REFERENCES submission (id),
    FOREIGN KEY (author_id) REFERENCES account (id))`,
  `ALTER TABLE submission ADD due DATETIME(3) NULL, ADD sum DOUBLE NOT NULL DEFAULT 0,
    ADD sum_out_of DOUBLE NOT NULL DEFAULT 0, ADD not_judged INT NOT NULL DEFAULT 0`,
  `UPDATE submission s JOIN work w ON w.id = s.work_id JOIN publication p ON p.id = w.publication_id
    JOIN revision r ON r.id = s.revision_id SET s.due = p.due, s.sum = s.earned + s.extra, s.sum_out_of = s.out_of,
    s.not_judged = COALESCE(JSON_LENGTH(r.body, '$.criteria'), 0)`,
];

const DOWN = [
  `DROP TABLE comment_answer`,
  `DROP TABLE extension`,
  `ALTER TABLE work DROP COLUMN moved_from, DROP COLUMN moving_to`,
  `ALTER TABLE publication DROP COLUMN closed_at`,
  `ALTER TABLE school_class DROP COLUMN join_code, DROP COLUMN archived_at`,
  `ALTER TABLE account DROP COLUMN must_change_password`,
  `ALTER TABLE submission DROP COLUMN due, DROP COLUMN sum, DROP COLUMN sum_out_of, DROP COLUMN not_judged`,
  `DROP TABLE mark_change`,
  `DROP TABLE judgement`,
  `DROP TABLE trial_map`,
  `DROP TABLE sheet_part`,
];

export class OwnAssignment1700000000003 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    for (const step of UP) await runner.query(step);
  }

  async down(runner: QueryRunner): Promise<void> {
    for (const step of DOWN) await runner.query(step);
  }
}
