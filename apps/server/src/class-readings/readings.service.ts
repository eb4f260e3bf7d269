import { Injectable } from '@nestjs/common';
import { openStoredMap } from '@ichnograph/core';
import type { Assignment, ClassReading, TopicMap } from '@ichnograph/core';
import { In } from 'typeorm';
import { Database } from '../common/database.js';
import { Publication, Revisions } from '../assignments/index.js';
import { Submission } from '../submissions/index.js';
import { WorkerPool } from '../workers/index.js';
import type { Run } from '../workers/index.js';
import type * as tasks from './reading.tasks.js';

/** Milliseconds that one class may take to be read. */
const PATIENCE = 120_000;
const CLASSES_KEPT = 8;

/** The newest maps of a publication, read together; what stands at a position belongs to the submission there. */
export interface ReadClass {
  assignment: Assignment;
  submissions: readonly Submission[];
  reading: ClassReading;
}

/** What the maps of a class say together, read by the workers and kept until another map is among them. */
@Injectable()
export class ClassReadings {
  private readonly classes = new Map<string, { of: string; read: Promise<ReadClass> }>();

  private readonly run: Run<typeof tasks>;

  constructor(
    private readonly data: Database,
    private readonly revisions: Revisions,
    workers: WorkerPool,
  ) {
    this.run = workers.tasks(new URL('./reading.tasks.js', import.meta.url));
  }

  /** Every newest map of a publication, read with its newest revision. */
  async of({ id, revisionId }: Pick<Publication, 'id' | 'revisionId'>): Promise<ReadClass> {
    const submissions = await this.newest(id);
    const stamp = [revisionId, ...submissions.map((one) => one.id)].join(' ');
    const known = this.classes.get(id);
    // What maps say stays as it was read; what was given for them and became of them is as it is now.
    if (known?.of === stamp) return { ...(await known.read), submissions };
    const read = this.read(submissions, revisionId);
    keep(this.classes, id, { of: stamp, read }, CLASSES_KEPT);
    read.catch(() => this.classes.delete(id));
    return read;
  }

  /** Any maps read together with one revision; nothing of it is kept. */
  async some(submissions: readonly Submission[], revisionId: string): Promise<ReadClass> {
    return this.read(submissions, revisionId);
  }

  /** The newest thing handed in of each work, in the order the works were begun. */
  newest(publicationId: string): Promise<Submission[]> {
    return this.data
      .getRepository(Submission)
      .createQueryBuilder('s')
      .innerJoinAndSelect('s.work', 'w')
      .innerJoinAndSelect('w.members', 'm')
      .innerJoinAndSelect('m.account', 'a')
      .where('w.publication_id = :publicationId', { publicationId })
      .andWhere((query) => {
        const later = query.subQuery().select('1').from(Submission, 'l').where('l.work_id = s.work_id');
        return `NOT EXISTS ${later.andWhere('l.number > s.number').getQuery()}`;
      })
      .orderBy('w.begun_at')
      .addOrderBy('w.id')
      .getMany();
  }

  /** The maps of these submissions, in their order. */
  async mapsOf(submissions: readonly Pick<Submission, 'id'>[]): Promise<TopicMap[]> {
    const ids = submissions.map(({ id }) => id);
    const rows = await this.data
      .getRepository(Submission)
      .find({ where: { id: In(ids) }, select: { id: true, map: true } });
    const byId = new Map(rows.map(({ id, map }) => [id, map]));
    return ids.map((id) => openStoredMap(byId.get(id)!));
  }

  private async read(submissions: readonly Submission[], revisionId: string): Promise<ReadClass> {
    const [assignment, maps] = await Promise.all([this.revisions.bodyOf(revisionId), this.mapsOf(submissions)]);
    return {
      assignment,
      submissions,
      reading: await this.run('together', { maps, assignment }, { lane: 'class', patience: PATIENCE }),
    };
  }
}

/** The oldest go first. */
function keep<V>(memory: Map<string, V>, key: string, value: V, most: number): void {
  memory.delete(key);
  memory.set(key, value);
  if (memory.size > most) memory.delete(memory.keys().next().value!);
}
