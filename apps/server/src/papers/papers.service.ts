import { Inject, Injectable } from '@nestjs/common';
import { judgementOf, markWords, openStoredMap } from '@ichnograph/core';
import type { TopicMap } from '@ichnograph/core';
import type { Logger } from 'pino';
import { libraryPicture, pictureForPaper } from '@ichnograph/formats/node';
import type { Pictures } from '@ichnograph/formats/node';
import { Database } from '../common/database.js';
import type { Account } from '../accounts/index.js';
import { School } from '../accounts/index.js';
import { Revisions } from '../assignments/index.js';
import { briefly } from '../common/briefly.js';
import { LOGGER } from '../common/tokens.js';
import { forbidden, notFound } from '../common/problem.js';
import { FilesService } from '../files/index.js';
import { Comments, JudgingService, Sums, Verdicts } from '../marking/index.js';
import { SubmissionsService } from '../submissions/index.js';
import { membersOf, nameOf } from '../works/index.js';
import { WorkerPool } from '../workers/index.js';
import type { Run } from '../workers/index.js';
import type * as tasks from './paper.tasks.js';
import type { MarkedPaper } from './marked-paper.js';

/** Milliseconds that one paper may take. */
const PATIENCE = 60_000;

/** Papers for students and files: the marked map with everything that was said and given. */
@Injectable()
export class Papers {
  private readonly run: Run<typeof tasks>;

  constructor(
    private readonly data: Database,
    private readonly submissions: SubmissionsService,
    private readonly comments: Comments,
    private readonly judging: JudgingService,
    private readonly sums: Sums,
    private readonly verdicts: Verdicts,
    private readonly revisions: Revisions,
    private readonly files: FilesService,
    workers: WorkerPool,
    @Inject(LOGGER) private readonly logger: Logger,
  ) {
    this.run = workers.tasks(new URL('./paper.tasks.js', import.meta.url));
  }

  /** One paper: to those who mark always, to its members once it is returned. */
  async pdf(submissionId: string, account: Account, onePage: boolean): Promise<{ name: string; content: Uint8Array }> {
    const { submission, isStaff, isBlind } = await this.submissions.seen(submissionId, account.id);
    if (isBlind)
      throw forbidden('You mark this class a second time, blind to the first. The paper holds what the first gave.');
    if (!isStaff && !submission.returnedAt) throw notFound('paper');
    const papers = await this.papersOf(submissionId, account);
    const { title } = papers[0]!;
    const names = papers.map((paper) => paper.names).join(', ');
    return { name: `${names}, ${title}`, content: await this.set(papers, onePage) };
  }

  /** Several papers as one document. */
  set(papers: MarkedPaper[], onePage = false): Promise<Uint8Array> {
    return this.run(
      'paper',
      { papers, onePage },
      { lane: 'class', patience: PATIENCE * Math.max(1, papers.length / 4) },
    );
  }

  /** The papers of one submission, as this person may read them: one, or one for each where they have marks of their own. */
  async papersOf(submissionId: string, account: Account): Promise<MarkedPaper[]> {
    const { submission, work, isStaff } = await this.submissions.seen(submissionId, account.id);
    if (!isStaff) return [await this.paperOf(submissionId, account, account.id)];
    if (!submission.ownMarks) return [await this.paperOf(submissionId, account)];
    return Promise.all(membersOf(work).map(({ id }) => this.paperOf(submissionId, account, id)));
  }

  /** @param memberId the one of its makers for whom it is */
  private async paperOf(submissionId: string, account: Account, memberId?: string): Promise<MarkedPaper> {
    const { submission, work } = await this.submissions.seen(submissionId, account.id);
    const own = submission.ownMarks ? membersOf(work).filter(({ id }) => id === memberId) : [];
    const [detail, assignment, comments, judgements, propositions, mark, zone] = await Promise.all([
      this.submissions.detail(submissionId, account, false),
      this.revisions.bodyOf(submission.revisionId),
      this.comments.comments(submissionId, account),
      this.judging.judgements(submissionId, account),
      this.verdicts.ofMap(submissionId, account.id),
      this.sums.markOf(submission, memberId),
      this.timeZone(),
    ]);
    const moment = (at: Date): string =>
      new Intl.DateTimeFormat('en-GB', { dateStyle: 'medium', timeStyle: 'short', timeZone: zone }).format(at);
    return {
      names: (own.length > 0 ? own : membersOf(work)).map(nameOf).join(', '),
      title: assignment.title,
      className: work.publication!.schoolClass!.name,
      handedIn: `Handed in ${moment(submission.handedInAt)}${submission.late ? ', late' : ''}.`,
      returned: submission.returnedAt && `Returned ${moment(submission.returnedAt)}.`,
      at: (submission.returnedAt ?? submission.handedInAt).toISOString(),
      map: detail.map,
      assignment: detail.assignment,
      report: detail.report,
      mark: markWords(mark.shown),
      lines: mark.lines,
      judgement: judgementOf(judgements),
      judgements,
      propositions,
      comments,
      pictures: await this.picturesOf(openStoredMap(detail.map)),
    };
  }

  /** What a map names, as pictures a document can hold. One that cannot be had is drawn in words. */
  private async picturesOf({ topics, pictures }: TopicMap): Promise<Pictures> {
    const named = new Set([...topics.flatMap((topic) => topic.pictures ?? []), ...pictures].map(({ src }) => src));
    const found = await Promise.all(
      [...named].map(async (src): Promise<[string, Uint8Array][]> => {
        try {
          const content = (await libraryPicture(src)) ?? (await this.files.content(src)).content;
          return [[src, await pictureForPaper(content)]];
        } catch (error) {
          // The paper comes all the same: what cannot be had is drawn in words, as on the screen.
          this.logger.warn({ ...briefly(error), src }, 'a picture could not be put on paper');
          return [];
        }
      }),
    );
    return Object.fromEntries(found.flat());
  }

  private async timeZone(): Promise<string> {
    const [school] = await this.data.getRepository(School).find({ take: 1 });
    return school?.timeZone ?? 'UTC';
  }
}
