import type { MigrationInterface, QueryRunner } from 'typeorm';

const ID = 'CHAR(36) CHARACTER SET ascii COLLATE ascii_bin';

/** Marks of single members of a group; questions to a class with the ideas that came in; maps shown to a class,
 * and looked at by one another. */
export class Ideas1700000000013 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`ALTER TABLE submission ADD COLUMN own_marks JSON NULL`);
    await runner.query(`CREATE TABLE gathering (
      id ${ID} PRIMARY KEY,
      class_id ${ID} NOT NULL,
      question VARCHAR(300) NOT NULL,
      code CHAR(5) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
      language VARCHAR(35) NOT NULL,
      made_by ${ID} NOT NULL,
      made_at DATETIME(3) NOT NULL,
      open BOOLEAN NOT NULL,
      anonymous BOOLEAN NOT NULL,
      round TINYINT NOT NULL,
      idea_groups JSON NOT NULL,
      UNIQUE KEY gathering_code (code),
      KEY gathering_of_class (class_id, made_at),
      CONSTRAINT gathering_class FOREIGN KEY (class_id) REFERENCES school_class (id) ON DELETE CASCADE,
      CONSTRAINT gathering_maker FOREIGN KEY (made_by) REFERENCES account (id)
    )`);
    await runner.query(`CREATE TABLE idea (
      id ${ID} PRIMARY KEY,
      gathering_id ${ID} NOT NULL,
      text VARCHAR(120) NOT NULL,
      group_id ${ID} NULL,
      taken BOOLEAN NOT NULL,
      hidden BOOLEAN NOT NULL,
      at DATETIME(3) NOT NULL,
      KEY idea_of_gathering (gathering_id, at),
      CONSTRAINT idea_gathering FOREIGN KEY (gathering_id) REFERENCES gathering (id) ON DELETE CASCADE
    )`);
    await runner.query(`CREATE TABLE sent_idea (
      id ${ID} PRIMARY KEY,
      idea_id ${ID} NOT NULL,
      account_id ${ID} NOT NULL,
      text VARCHAR(120) NOT NULL,
      round TINYINT NOT NULL,
      at DATETIME(3) NOT NULL,
      KEY sent_as_idea (idea_id),
      KEY sent_by_account (account_id),
      CONSTRAINT sent_idea_idea FOREIGN KEY (idea_id) REFERENCES idea (id) ON DELETE CASCADE,
      CONSTRAINT sent_idea_account FOREIGN KEY (account_id) REFERENCES account (id) ON DELETE CASCADE
    )`);
    await runner.query(`CREATE TABLE showing (
      id ${ID} PRIMARY KEY,
      class_id ${ID} NOT NULL,
      own_map_id ${ID} NULL,
      work_id ${ID} NULL,
      tour_id VARCHAR(200) NULL,
      made_by ${ID} NOT NULL,
      began_at DATETIME(3) NOT NULL,
      ends_at DATETIME(3) NOT NULL,
      KEY showing_to_class (class_id, ends_at),
      CONSTRAINT showing_class FOREIGN KEY (class_id) REFERENCES school_class (id) ON DELETE CASCADE,
      CONSTRAINT showing_own_map FOREIGN KEY (own_map_id) REFERENCES own_map (id) ON DELETE CASCADE,
      CONSTRAINT showing_work FOREIGN KEY (work_id) REFERENCES work (id) ON DELETE CASCADE,
      CONSTRAINT showing_maker FOREIGN KEY (made_by) REFERENCES account (id) ON DELETE CASCADE,
      CONSTRAINT showing_of_one CHECK ((work_id IS NULL) <> (own_map_id IS NULL))
    )`);
    await runner.query(`CREATE TABLE review_round (
      publication_id ${ID} PRIMARY KEY,
      each_given TINYINT NOT NULL,
      criteria BOOLEAN NOT NULL,
      sentences BOOLEAN NOT NULL,
      notes BOOLEAN NOT NULL,
      share DOUBLE NOT NULL,
      closes_at DATETIME(3) NULL,
      released_at DATETIME(3) NULL,
      kept_apart JSON NOT NULL,
      seed INT UNSIGNED NOT NULL,
      made_by ${ID} NOT NULL,
      made_at DATETIME(3) NOT NULL,
      CONSTRAINT review_round_publication FOREIGN KEY (publication_id) REFERENCES publication (id) ON DELETE CASCADE
    )`);
    await runner.query(`CREATE TABLE review (
      id ${ID} PRIMARY KEY,
      publication_id ${ID} NOT NULL,
      work_id ${ID} NOT NULL,
      submission_id ${ID} NOT NULL,
      reviewer_id ${ID} NOT NULL,
      position INT NOT NULL,
      version INT NOT NULL,
      given JSON NOT NULL,
      sent_at DATETIME(3) NULL,
      UNIQUE KEY review_once (work_id, reviewer_id),
      KEY review_of_submission (submission_id),
      KEY review_by (reviewer_id),
      CONSTRAINT review_round_of FOREIGN KEY (publication_id) REFERENCES review_round (publication_id) ON DELETE CASCADE,
      CONSTRAINT review_submission FOREIGN KEY (submission_id) REFERENCES submission (id) ON DELETE CASCADE,
      CONSTRAINT review_reviewer FOREIGN KEY (reviewer_id) REFERENCES account (id) ON DELETE CASCADE
    )`);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query(`DROP TABLE review`);
    await runner.query(`DROP TABLE review_round`);
    await runner.query(`DROP TABLE showing`);
    await runner.query(`DROP TABLE sent_idea`);
    await runner.query(`DROP TABLE idea`);
    await runner.query(`DROP TABLE gathering`);
    await runner.query(`ALTER TABLE submission DROP COLUMN own_marks`);
  }
}
