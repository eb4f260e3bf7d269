import { randomUUID } from 'node:crypto';
import { Inject, Injectable } from '@nestjs/common';
import { LIMITS } from '@ichnograph/core';
import type { TopicMap } from '@ichnograph/core';
import { workDocument } from '@ichnograph/contract';
import type { HandIn } from '@ichnograph/contract';
import { Acts } from '../acts/index.js';
import type { Named } from '../acts/index.js';
import { DueTimes, Revisions } from '../assignments/index.js';
import { Clock } from '../common/clock.js';
import { Database } from '../common/database.js';
import { conflict, notFound } from '../common/problem.js';
import { SETTINGS } from '../common/tokens.js';
import { Snapshots, UpdateLog } from '../live/index.js';
import { Checks } from '../checks/index.js';
import { lockWork, membersOf, nameOf, Work, WorksService } from '../works/index.js';
import type { Settings } from '../settings.js';
import { frozenRow, refuseOversize } from './frozen.js';
import { Submission } from './submission.entity.js';
import { mayHandIn } from './work-pages.service.js';

const HAND_IN = 'hand in';

@Injectable()
export class HandInService {
  private readonly listeners: ((submissionId: string) => Promise<unknown>)[] = [];

  /** one hand-in a work at a time: each costs a whole check */
  private readonly underWay = new Map<string, { act: string; by: string; done: Promise<string> }>();

  constructor(
    private readonly data: Database,
    private readonly works: WorksService,
    private readonly revisions: Revisions,
    private readonly dueTimes: DueTimes,
    private readonly acts: Acts,
    private readonly log: UpdateLog,
    private readonly snapshots: Snapshots,
    private readonly checks: Checks,
    private readonly clock: Clock,
    @Inject(SETTINGS) private readonly settings: Settings,
  ) {}

  /** Told of each map that is handed in, within its unit of work. */
  onKept(listener: (submissionId: string) => Promise<unknown>): void {
    this.listeners.push(listener);
  }

  /** Tells of a map that was handed in, within its unit of work. */
  async kept(submissionId: string): Promise<void> {
    for (const listener of this.listeners) await listener(submissionId);
  }

  /**
   * Freezes a work: waits until all of the client's changes are stored, mends what is stored, checks it again with the
   * same core, and keeps map, revision and report together. The browser's own report is never asked for.
   * @returns the id of the submission, or of the one that this very act made before
   */
  async handIn(workId: string, wanted: HandIn, named: Named): Promise<string> {
    const under = this.underWay.get(workId);
    // Sent again while the first is still at it: that one's answer is the answer.
    if (under?.act === named.act && under.by === named.accountId) return under.done;
    if (under) throw conflict('This map is being handed in at this very moment. Look again in a moment.');
    const done = this.once(workId, wanted, named).finally(() => this.underWay.delete(workId));
    this.underWay.set(workId, { act: named.act, by: named.accountId, done });
    return done;
  }

  private async once(workId: string, { note, client, count }: HandIn, named: Named): Promise<string> {
    const { work, isMember } = await this.works.seen(workId, named.accountId);
    if (!isMember) throw notFound('map');
    const before = await this.acts.resultOf(named, HAND_IN);
    if (before) return before;
    const name = workDocument(workId);
    if (!(await this.log.holds(name, client, count, this.settings.handInPatience))) {
      throw conflict(
        'Not all of your changes have arrived yet, so nothing was handed in. Wait until the map says saved, then try again.',
      );
    }
    const handedIn = this.clock.now();
    const members = membersOf(work);
    const due = await this.dueTimes.of(
      work.publication!,
      members.map(({ id }) => id),
    );
    const drawn = await this.snapshots.of(name);
    if (!drawn) throw new Error(`the live document ${name} is gone`);
    const { map: snapshot, dropped } = drawn;
    const author = members.map(nameOf).join(', ').slice(0, LIMITS.text);
    const map: TopicMap = { ...snapshot, author };
    refuseOversize(map);
    const assignment = await this.revisions.bodyOf(work.revisionId);
    const frozen = await this.checks.freeze(
      map,
      assignment,
      {
        members: members.map((member) => member.id),
        due: due?.toISOString() ?? null,
        handedIn: handedIn.toISOString(),
      },
      'now',
    );
    const submission = await this.acts.once(named, HAND_IN, async () => {
      const id = randomUUID();
      const locked = await lockWork(this.data, workId);
      const number = (await this.data.manager.countBy(Submission, { workId })) + 1;
      if (!mayHandIn({ ...work, state: locked.state }, number - 1)) {
        throw conflict(
          locked.state === 'being marked'
            ? 'Your teacher has begun to mark this map, so it cannot be handed in again just now.'
            : 'This map cannot be handed in just now: the assignment is closed, its class is put away, or it was handed in already.',
        );
      }
      if (locked.revisionId !== work.revisionId || locked.movingTo) {
        throw conflict(
          'Your teacher changed the assignment this very moment, so nothing was handed in. Look what is new, then hand in.',
        );
      }
      await this.data.manager.insert(Submission, {
        id,
        workId,
        revisionId: work.revisionId,
        number,
        ...frozenRow(map, frozen),
        due,
        leftOut: dropped.length,
        note: note ?? '',
        handedInBy: named.accountId,
        handedInAt: handedIn,
        late: due !== null && handedIn > due,
        broughtFrom: null,
      });
      await this.data.manager.update(Work, { id: workId }, { state: 'handed in' });
      await this.kept(id);
      return id;
    });
    await this.works.stateChanged(workId);
    return submission;
  }
}
