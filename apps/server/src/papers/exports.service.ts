import { randomUUID } from 'node:crypto';
import { Inject, Injectable } from '@nestjs/common';
import type { BeginExport, ExportState } from '@ichnograph/contract';
import { writeMap } from '@ichnograph/core';
import { zipSync } from 'fflate';
import type { Logger } from 'pino';
import type { Account } from '../accounts/index.js';
import type { Publication } from '../assignments/index.js';
import { briefly } from '../common/briefly.js';
import { conflict, notFound } from '../common/problem.js';
import { LOGGER } from '../common/tokens.js';
import { Markable } from '../marking/index.js';
import { SubmissionsService } from '../submissions/index.js';
import type { Submission } from '../submissions/index.js';
import { membersOf, nameOf } from '../works/index.js';
import { ClassReadings } from '../class-readings/index.js';
import { filesOf, manifestOf, withLegend } from './class-maps.js';
import type { ClassMap } from './class-maps.js';
import { Drawings } from './drawings.service.js';
import type { MarkedPaper } from './marked-paper.js';
import { Papers } from './papers.service.js';

/** How long what is made waits to be fetched. */
const KEPT_MS = 15 * 60_000;
/** Papers that are set at a time: as many as there are workers. */
const AT_ONCE = 2;
const MOST_OF_ONE = 3;

interface Job {
  id: string;
  by: string;
  name: string;
  as: BeginExport['as'];
  done: number;
  of: number;
  state: 'running' | 'ready' | 'failed' | 'cancelled';
  content: Uint8Array | null;
}

/**
 * The papers of a whole class, made beside other requests: asked for, watched, cancelled, fetched. What a stopping server
 * was making is gone with it, and is said to be.
 */
@Injectable()
export class Exports {
  private readonly jobs = new Map<string, Job>();
  /** by account: what is still being worked on, cancelled or not */
  private readonly working = new Map<string, number>();

  constructor(
    private readonly papers: Papers,
    private readonly drawings: Drawings,
    private readonly submissions: SubmissionsService,
    private readonly readings: ClassReadings,
    private readonly markable: Markable,
    @Inject(LOGGER) private readonly logger: Logger,
  ) {}

  async begin(publicationId: string, as: Job['as'], account: Account): Promise<ExportState> {
    const publication = await this.markable.publication(publicationId, account.id);
    const working = this.working.get(account.id) ?? 0;
    if (working >= MOST_OF_ONE) throw conflict('Three files are being made for you already. Wait for one of them.');
    this.working.set(account.id, working + 1);
    try {
      return await this.start(publication, as, account);
    } catch (error) {
      this.ended(account.id);
      throw error;
    }
  }

  private ended(accountId: string): void {
    this.working.set(accountId, (this.working.get(accountId) ?? 1) - 1);
    if (this.working.get(accountId) === 0) this.working.delete(accountId);
  }

  private async start(publication: Publication, as: Job['as'], account: Account): Promise<ExportState> {
    const submissions = inOrderOfNames(await this.readings.newest(publication.id));
    if (submissions.length === 0) throw conflict('Nobody has handed in a map yet, so there is nothing to write out.');
    const name = `${publication.revision!.title}, ${publication.schoolClass!.name}`;
    const job: Job = {
      id: randomUUID(),
      by: account.id,
      name,
      as,
      done: 0,
      of: submissions.length,
      state: 'running',
      content: null,
    };
    this.jobs.set(job.id, job);
    void this.make(
      job,
      submissions.map(({ id }) => id),
      account,
    );
    return stateOf(job);
  }

  state(id: string, accountId: string): ExportState {
    return stateOf(this.own(id, accountId));
  }

  cancel(id: string, accountId: string): void {
    const job = this.own(id, accountId);
    job.state = 'cancelled';
    job.content = null;
    this.jobs.delete(id);
  }

  content(id: string, accountId: string): { name: string; as: Job['as']; content: Uint8Array } {
    const { name, as, content } = this.own(id, accountId);
    if (!content) throw conflict('It is not ready yet.');
    return { name, as, content };
  }

  private own(id: string, accountId: string): Job {
    const job = this.jobs.get(id);
    if (job?.by !== accountId) throw notFound('file that is being made');
    return job;
  }

  private async make(job: Job, ids: readonly string[], account: Account): Promise<void> {
    try {
      if (job.as === 'maps') return await this.makeMaps(job, ids, account);
      const papers: MarkedPaper[] = [];
      const files: Record<string, Uint8Array> = {};
      for (let i = 0; i < ids.length; i += AT_ONCE) {
        if (job.state === 'cancelled') return;
        const read = await Promise.all(ids.slice(i, i + AT_ONCE).map((id) => this.papers.papersOf(id, account)));
        if (job.as === 'zip')
          await Promise.all(
            read.flat().map(async (paper) => {
              const name = free(fileName(paper.names), files);
              files[name] = new Uint8Array();
              files[name] = await this.papers.set([paper]);
            }),
          );
        else papers.push(...read.flat());
        job.done += read.length;
      }
      // PDF is compressed already.
      job.content = job.as === 'zip' ? zipSync(files, { level: 0 }) : await this.papers.set(papers);
      job.state = 'ready';
    } catch (error) {
      this.logger.error(briefly(error), 'a file for a class could not be made');
      job.state = 'failed';
    } finally {
      this.ended(job.by);
      setTimeout(() => this.jobs.delete(job.id), KEPT_MS).unref();
    }
  }

  /** Each map as files that other programs open, with its drawing, and a list of all. */
  private async makeMaps(job: Job, ids: readonly string[], account: Account): Promise<void> {
    const files: Record<string, Uint8Array> = {};
    const maps: ClassMap[] = [];
    for (const id of ids) {
      if (job.state === 'cancelled') return;
      const detail = await this.submissions.detail(id, account, false);
      const map = withLegend(detail);
      const names = detail.members.map(nameOf).join(', ');
      const one = { name: free(fileName(names), files, 'json').replace(/\.json$/, ''), names, detail, map };
      const drawn = await this.drawings.drawn({ as: 'svg', map: writeMap(map) });
      Object.assign(files, await filesOf(one), { [`${one.name}.svg`]: drawn.content });
      maps.push(one);
      job.done += 1;
    }
    files['manifest.csv'] = new TextEncoder().encode(manifestOf(maps));
    job.content = zipSync(files);
    job.state = 'ready';
  }
}

/** As a list of the class would have them. */
const inOrderOfNames = (submissions: readonly Submission[]): Submission[] => {
  const nameOf = ({ work }: Submission): string =>
    membersOf(work!)
      .map(({ familyName, givenName }) => `${familyName} ${givenName}`)
      .sort()
      .join(', ');
  return submissions.toSorted((a, b) => nameOf(a).localeCompare(nameOf(b), 'en'));
};

const stateOf = ({ id, done, of, state }: Job): ExportState => ({ id, done, of, state });

/** A name as one of a file: what systems will not have in one is left out. */
export const fileName = (title: string): string =>
  title
    .replace(/[\\/:*?"<>|\p{Cc}]+/gu, ' ')
    .trim()
    .slice(0, 80) || 'Map';

/** Two of one name have files of their own. */
function free(name: string, files: Readonly<Record<string, unknown>>, ending = 'pdf'): string {
  for (let i = 1; ; i++) {
    const tried = i === 1 ? `${name}.${ending}` : `${name} (${i}).${ending}`;
    if (!Object.hasOwn(files, tried)) return tried;
  }
}
