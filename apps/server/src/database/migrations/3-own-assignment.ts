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
];

const DOWN = [`DROP TABLE trial_map`, `DROP TABLE sheet_part`];

export class OwnAssignment1700000000003 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    for (const step of UP) await runner.query(step);
  }

  async down(runner: QueryRunner): Promise<void> {
    for (const step of DOWN) await runner.query(step);
  }
}
