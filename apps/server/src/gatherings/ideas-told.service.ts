import { Inject, Injectable } from '@nestjs/common';
import { gatheringRoom } from '@ichnograph/contract';
import type { GatheringNews } from '@ichnograph/contract';
import type { Logger } from 'pino';
import { briefly } from '../common/briefly.js';
import { Database } from '../common/database.js';
import { LOGGER } from '../common/tokens.js';
import { LiveService } from '../live/index.js';
import { Gathering } from './gathering.entity.js';
import { forStudents, headOf, ideasOf } from './idea-rows.js';
import { SentIdea } from './sent-idea.entity.js';

/** What comes in within this is told at once: a whole class sends in the same minute. */
const GATHER_MS = 80;

interface Untold {
  ids: Set<string>;
  timer: NodeJS.Timeout;
}

/** Tells those who have a gathering open what is new in it, each what they may see. */
@Injectable()
export class IdeasTold {
  private readonly untold = new Map<string, Untold>();
  private readonly counts = new Map<string, number>();

  constructor(
    private readonly data: Database,
    private readonly live: LiveService,
    @Inject(LOGGER) private readonly logger: Logger,
  ) {}

  /** How often something was told of a gathering. */
  count(gatheringId: string): number {
    return this.counts.get(gatheringId) ?? 0;
  }

  /** These ideas are otherwise, or the question is. To be called when it is committed. */
  changed(gatheringId: string, ideaIds: readonly string[] = []): void {
    const waiting = this.untold.get(gatheringId);
    if (waiting) return ideaIds.forEach((id) => waiting.ids.add(id));
    const timer = setTimeout(() => {
      void this.data.apart(() => this.tell(gatheringId));
    }, GATHER_MS);
    this.untold.set(gatheringId, { ids: new Set(ideaIds), timer });
  }

  private async tell(gatheringId: string): Promise<void> {
    const ids = [...this.untold.get(gatheringId)!.ids];
    this.untold.delete(gatheringId);
    try {
      const gathering = await this.data.getRepository(Gathering).findOneBy({ id: gatheringId });
      if (!gathering) return;
      const [ideas, senders] = await Promise.all([
        ids.length === 0 ? [] : ideasOf(this.data, gatheringId, ids),
        this.senders(gathering),
      ]);
      const told = this.count(gatheringId) + 1;
      this.counts.set(gatheringId, told);
      const news = (seen: typeof ideas): GatheringNews => ({
        type: 'gathering',
        told,
        head: headOf(gathering),
        senders,
        ideas: seen,
        gone: ids.filter((id) => !seen.some((one) => one.id === id)),
      });
      this.live.tellRoom(gatheringRoom(gatheringId), {
        write: news(ideas),
        read: news(forStudents(ideas, gathering)),
      });
    } catch (error) {
      // Those who have it open are told that something was missed with the next that is told, and ask for all.
      this.counts.set(gatheringId, this.count(gatheringId) + 1);
      this.logger.warn(briefly(error), 'what is new in a gathering could not be told');
    }
  }

  /** How many sent something in the round that is on. */
  async senders({ id, round }: Gathering): Promise<number> {
    const { count } = (await this.data
      .getRepository(SentIdea)
      .createQueryBuilder('s')
      .innerJoin('s.idea', 'i')
      .select('COUNT(DISTINCT s.account_id)', 'count')
      .where('i.gathering_id = :id AND s.round = :round', { id, round })
      .getRawOne<{ count: string }>())!;
    return Number(count);
  }
}
