import type { DataSourceOptions } from 'typeorm';
import { Account } from '../accounts/account.entity.js';
import { School } from '../accounts/school.entity.js';
import { Session } from '../accounts/session.entity.js';
import { Assignment } from '../assignments/assignment.entity.js';
import { Publication } from '../assignments/publication.entity.js';
import { Revision } from '../assignments/revision.entity.js';
import { Enrolment } from '../classes/enrolment.entity.js';
import { SchoolClass } from '../classes/school-class.entity.js';
import { LiveDocument } from '../live/live-document.entity.js';
import { LiveUpdate } from '../live/live-update.entity.js';
import { Comment } from '../marking/comment.entity.js';
import type { Settings } from '../settings.js';
import { Submission } from '../submissions/submission.entity.js';
import { WorkMember } from '../works/work-member.entity.js';
import { Work } from '../works/work.entity.js';
import { FirstLoop1700000000001 } from './migrations/1-first-loop.js';

/** `type: 'mariadb'`, migrations only: with `mysql` or `synchronize` columns would be dropped and made anew. */
export const dataSourceOptions = ({ database }: Settings): DataSourceOptions => ({
  type: 'mariadb', socketPath: database.socketPath, username: database.user, password: database.password,
  database: database.name, charset: 'utf8mb4', timezone: 'Z', synchronize: false, migrationsRun: true, poolSize: 20,
  entities: [
    Account, School, Session, SchoolClass, Enrolment, Assignment, Revision, Publication, Work, WorkMember, LiveDocument,
    LiveUpdate, Submission, Comment,
  ],
  migrations: [FirstLoop1700000000001],
});
