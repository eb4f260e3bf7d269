import type { MigrationInterface, QueryRunner } from 'typeorm';

const ID = 'CHAR(36) CHARACTER SET ascii COLLATE ascii_bin';

/**
 * Lists are read from columns, never from bodies. A publication is an assignment in a class. Names are told apart to the
 * letter. Appending to a log locks nothing that a compaction holds: the foreign key did.
 */
const UP = [
  `ALTER TABLE live_update DROP FOREIGN KEY live_update_ibfk_1`,
  `ALTER TABLE account MODIFY name VARCHAR(40) CHARACTER SET ascii COLLATE ascii_bin NOT NULL`,
  `CREATE TABLE act (
    account_id ${ID} NOT NULL, id ${ID} NOT NULL, kind VARCHAR(40) NOT NULL, result ${ID} NULL, at DATETIME(3) NOT NULL,
    PRIMARY KEY (account_id, id), INDEX (at), FOREIGN KEY (account_id) REFERENCES account (id))`,
  `CREATE TABLE assignment_collaborator (
    assignment_id ${ID} NOT NULL, account_id ${ID} NOT NULL, PRIMARY KEY (assignment_id, account_id),
    FOREIGN KEY (assignment_id) REFERENCES assignment (id), FOREIGN KEY (account_id) REFERENCES account (id))`,

  `ALTER TABLE revision ADD title VARCHAR(300) NOT NULL DEFAULT '', ADD focus_question VARCHAR(300) NOT NULL DEFAULT ''`,
  `UPDATE revision SET title = LEFT(JSON_VALUE(body, '$.title'), 300),
    focus_question = LEFT(JSON_VALUE(body, '$.focusQuestion'), 300)`,

  `ALTER TABLE publication ADD assignment_id ${ID} NULL AFTER id`,
  `UPDATE publication p JOIN revision r ON r.id = p.revision_id SET p.assignment_id = r.assignment_id`,
  `ALTER TABLE publication MODIFY assignment_id ${ID} NOT NULL, ADD UNIQUE (assignment_id, class_id),
    ADD FOREIGN KEY (assignment_id) REFERENCES assignment (id)`,

  `ALTER TABLE submission ADD earned DOUBLE NOT NULL DEFAULT 0, ADD out_of DOUBLE NOT NULL DEFAULT 0,
    ADD extra DOUBLE NOT NULL DEFAULT 0, ADD flags INT NOT NULL DEFAULT 0, ADD opened_at DATETIME(3) NULL`,
  `UPDATE submission s SET
    s.out_of = JSON_VALUE(s.report, '$.outOf'),
    s.extra = (SELECT COALESCE(SUM(t.points), 0) FROM JSON_TABLE(s.report, '$.results[*]'
      COLUMNS (level VARCHAR(20) PATH '$.level', points DOUBLE PATH '$.points')) t WHERE t.level = 'extra'),
    s.flags = (SELECT COUNT(*) FROM JSON_TABLE(s.report, '$.results[*]'
      COLUMNS (status VARCHAR(20) PATH '$.status')) t WHERE t.status NOT IN ('met', 'not-applicable'))`,
  `UPDATE submission SET earned = JSON_VALUE(report, '$.earned') - extra`,

  `ALTER TABLE comment ADD removed_at DATETIME(3) NULL`,
];

const DOWN = [
  `ALTER TABLE comment DROP COLUMN removed_at`,
  `ALTER TABLE submission DROP COLUMN earned, DROP COLUMN out_of, DROP COLUMN extra, DROP COLUMN flags, DROP COLUMN opened_at`,
  `ALTER TABLE publication DROP FOREIGN KEY publication_ibfk_3, DROP INDEX assignment_id, DROP COLUMN assignment_id`,
  `ALTER TABLE revision DROP COLUMN title, DROP COLUMN focus_question`,
  `DROP TABLE assignment_collaborator`,
  `DROP TABLE act`,
  `ALTER TABLE account MODIFY name VARCHAR(40) NOT NULL`,
  `ALTER TABLE live_update ADD FOREIGN KEY (document_name) REFERENCES live_document (name)`,
];

export class SoundBase1700000000002 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    for (const step of UP) await runner.query(step);
  }

  async down(runner: QueryRunner): Promise<void> {
    for (const step of DOWN) await runner.query(step);
  }
}
