import type { DataSourceOptions } from 'typeorm';
import { Account, KnownDevice, School, Session } from '../accounts/index.js';
import { Act } from '../acts/index.js';
import { Assignment, Collaborator, Extension, Publication, Revision } from '../assignments/index.js';
import { Enrolment, SchoolClass } from '../classes/index.js';
import { FileOwner, StoredFile } from '../files/index.js';
import { Gathering, IdeaEntry, SentIdea } from '../gatherings/index.js';
import { LiveDocument, LiveUpdate } from '../live/index.js';
import {
  ClassVerdict,
  Comment,
  CommentAnswer,
  CommentsRead,
  JudgementEntry,
  MapVerdict,
  MarkChange,
  Remark,
  SecondMark,
} from '../marking/index.js';
import { ReadyMade } from '../beginnings/index.js';
import { OwnMap } from '../own-maps/index.js';
import { Review, RoundOfReviews } from '../reviews/index.js';
import type { Settings } from '../settings.js';
import { SharedPage } from '../shared-pages/index.js';
import { Share } from '../shares/index.js';
import { SheetPart, TrialMap } from '../sheets/index.js';
import { Showing } from '../showings/index.js';
import { LookedAt, Submission } from '../submissions/index.js';
import { MapVersion } from '../versions/index.js';
import { GroupMember, Work, WorkMember } from '../works/index.js';
import { Files1700000000006 } from './migrations/6-files.js';
import { FirstLoop1700000000001 } from './migrations/1-first-loop.js';
import { Marking1700000000008 } from './migrations/8-marking.js';
import { OwnMaps1700000000007 } from './migrations/7-own-maps.js';
import { OwnAssignment1700000000003 } from './migrations/3-own-assignment.js';
import { SoundBase1700000000002 } from './migrations/2-sound-base.js';
import { OwnThings1700000000010 } from './migrations/10-own-things.js';
import { OpenFormats1700000000011 } from './migrations/11-open-formats.js';
import { Together1700000000012 } from './migrations/12-together.js';
import { Ideas1700000000013 } from './migrations/13-ideas.js';
import { Versions1700000000005 } from './migrations/5-versions.js';
import { SafeAgain1700000000009 } from './migrations/9-safe-again.js';
import { StandingRules1700000000004 } from './migrations/4-standing-rules.js';

/** `type: 'mariadb'`, migrations only: with `mysql` or `synchronize` columns would be dropped and made anew. */
export const dataSourceOptions = ({ database }: Settings): DataSourceOptions => ({
  type: 'mariadb',
  socketPath: database.socketPath,
  username: database.user,
  password: database.password,
  database: database.name,
  charset: 'utf8mb4',
  timezone: 'Z',
  synchronize: false,
  migrationsRun: true,
  poolSize: 20,
  entities: [
    Act,
    Account,
    School,
    Session,
    KnownDevice,
    SchoolClass,
    Enrolment,
    Assignment,
    Collaborator,
    Revision,
    Publication,
    Extension,
    SheetPart,
    TrialMap,
    ReadyMade,
    Work,
    WorkMember,
    GroupMember,
    LiveDocument,
    LiveUpdate,
    Submission,
    LookedAt,
    MapVersion,
    OwnMap,
    Share,
    SharedPage,
    StoredFile,
    FileOwner,
    Comment,
    CommentAnswer,
    CommentsRead,
    Gathering,
    IdeaEntry,
    SentIdea,
    Showing,
    Review,
    RoundOfReviews,
    JudgementEntry,
    MarkChange,
    ClassVerdict,
    MapVerdict,
    Remark,
    SecondMark,
  ],
  migrations: [
    FirstLoop1700000000001,
    SoundBase1700000000002,
    OwnAssignment1700000000003,
    StandingRules1700000000004,
    Versions1700000000005,
    Files1700000000006,
    OwnMaps1700000000007,
    Marking1700000000008,
    SafeAgain1700000000009,
    OwnThings1700000000010,
    OpenFormats1700000000011,
    Together1700000000012,
    Ideas1700000000013,
  ],
});
