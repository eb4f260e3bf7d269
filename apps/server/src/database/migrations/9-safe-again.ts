import type { MigrationInterface, QueryRunner } from 'typeorm';

const ID = 'CHAR(36) CHARACTER SET ascii COLLATE ascii_bin';
const HASH = 'CHAR(64) CHARACTER SET ascii COLLATE ascii_bin';

/**
 * Verdicts belong to a class: those of an assignment go to each of its publications in which something was handed in. What
 * marks ask of a map, and the mark as it is shown, lie beside the submission; a return freezes the whole mark.
 */
const STEPS = [
  `CREATE TABLE publication_verdict LIKE class_verdict`,
  `ALTER TABLE publication_verdict DROP PRIMARY KEY, CHANGE assignment_id publication_id ${ID} NOT NULL,
    ADD PRIMARY KEY (publication_id, said_hash), ADD FOREIGN KEY (publication_id) REFERENCES publication (id),
    ADD FOREIGN KEY (author_id) REFERENCES account (id)`,
  `INSERT INTO publication_verdict (publication_id, said_hash, said, verdict, thin, remark, author_id, at)
    SELECT p.id, v.said_hash, v.said, v.verdict, v.thin, v.remark, v.author_id, v.at
    FROM class_verdict v JOIN publication p ON p.assignment_id = v.assignment_id
    WHERE EXISTS (SELECT 1 FROM work w JOIN submission s ON s.work_id = w.id WHERE w.publication_id = p.id)`,
  `DROP TABLE class_verdict`,
  `RENAME TABLE publication_verdict TO class_verdict`,
  `ALTER TABLE account ADD COLUMN reset_by ${ID} NULL, ADD COLUMN reset_at DATETIME(3) NULL,
    ADD CONSTRAINT account_reset_by FOREIGN KEY (reset_by) REFERENCES account (id)`,
  `CREATE TABLE known_device (
    token_hash ${HASH} NOT NULL, account_id ${ID} NOT NULL, at DATETIME(3) NOT NULL, PRIMARY KEY (token_hash, account_id),
    KEY known_device_at (at), FOREIGN KEY (account_id) REFERENCES account (id))`,
  `ALTER TABLE submission ADD COLUMN reading JSON NULL, ADD COLUMN shown JSON NULL, ADD COLUMN returned_mark JSON NULL`,
];

export class SafeAgain1700000000009 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    for (const step of STEPS) await runner.query(step);
  }

  /** Back to verdicts of an assignment: of several classes the newest word stays. */
  async down(runner: QueryRunner): Promise<void> {
    for (const step of [
      `CREATE TABLE assignment_verdict LIKE class_verdict`,
      `ALTER TABLE assignment_verdict DROP PRIMARY KEY, CHANGE publication_id assignment_id ${ID} NOT NULL,
        ADD PRIMARY KEY (assignment_id, said_hash), ADD FOREIGN KEY (assignment_id) REFERENCES assignment (id),
        ADD FOREIGN KEY (author_id) REFERENCES account (id)`,
      `REPLACE INTO assignment_verdict (assignment_id, said_hash, said, verdict, thin, remark, author_id, at)
        SELECT p.assignment_id, v.said_hash, v.said, v.verdict, v.thin, v.remark, v.author_id, v.at
        FROM class_verdict v JOIN publication p ON p.id = v.publication_id ORDER BY v.at`,
      `DROP TABLE class_verdict`,
      `RENAME TABLE assignment_verdict TO class_verdict`,
      `DROP TABLE known_device`,
      `ALTER TABLE account DROP FOREIGN KEY account_reset_by, DROP COLUMN reset_by, DROP COLUMN reset_at`,
      `ALTER TABLE submission DROP COLUMN reading, DROP COLUMN shown, DROP COLUMN returned_mark`,
    ])
      await runner.query(step);
  }
}
