import { Inject, Injectable } from '@nestjs/common';
import type { DrawMap } from '@ichnograph/contract';
import { isUpload, readMap } from '@ichnograph/core';
import type { TopicMap } from '@ichnograph/core';
import { DRAWN_FORMATS } from '@ichnograph/formats';
import type { Logger } from 'pino';
import { briefly } from '../common/briefly.js';
import { Clock } from '../common/clock.js';
import { conflict, refused } from '../common/problem.js';
import { LOGGER } from '../common/tokens.js';
import { FilesService } from '../files/index.js';
import { WorkerPool } from '../workers/index.js';
import type { Run } from '../workers/index.js';
import type * as tasks from './paper.tasks.js';

/** Milliseconds that one drawing may take. */
const PATIENCE = 60_000;
/** So many at once are made for one person: the others of the school wait in the same line. */
const MOST_OF_ONE = 3;

interface Drawn {
  name: string;
  type: string;
  content: Uint8Array;
}

/** Maps as pictures, pages and documents, made beside other requests; nothing of them is kept. */
@Injectable()
export class Drawings {
  private readonly run: Run<typeof tasks>;
  /** by account: drawings that are being made */
  private readonly working = new Map<string, number>();

  constructor(
    private readonly files: FilesService,
    private readonly clock: Clock,
    workers: WorkerPool,
    @Inject(LOGGER) private readonly logger: Logger,
  ) {
    this.run = workers.tasks(new URL('./paper.tasks.js', import.meta.url));
  }

  async draw(wanted: DrawMap, accountId: string): Promise<Drawn> {
    const working = this.working.get(accountId) ?? 0;
    if (working >= MOST_OF_ONE) throw conflict('Three files are being made for you already. Wait for one of them.');
    this.working.set(accountId, working + 1);
    try {
      return await this.drawn(wanted);
    } finally {
      const left = this.working.get(accountId)! - 1;
      if (left > 0) this.working.set(accountId, left);
      else this.working.delete(accountId);
    }
  }

  /** The same for nobody in particular. */
  async drawn({ as, map: sent, ...wishes }: DrawMap): Promise<Drawn> {
    const { value: map, messages } = readMap(sent);
    if (!map) throw refused(`That is no map: ${messages[0]!.path} ${messages[0]!.reason}.`);
    const at = this.clock.now().toISOString();
    const task = { ...wishes, as, map, legend: map.legend, at, pictures: await this.picturesOf(map) };
    const content = await this.run('drawn', task, { lane: 'class', patience: PATIENCE });
    if ('refused' in content) throw refused(`This map ${content.refused}.`);
    const { endings, mediaType } = DRAWN_FORMATS[as];
    return { name: `${map.title || 'Map'}.${endings[0]}`, type: mediaType, content };
  }

  /** What people brought; what ships the thread finds by itself. What cannot be had is drawn in words. */
  private async picturesOf({ topics, pictures }: TopicMap): Promise<Record<string, Uint8Array>> {
    const named = new Set([...topics.flatMap((topic) => topic.pictures ?? []), ...pictures].map(({ src }) => src));
    const found = await Promise.all(
      [...named].filter(isUpload).map(async (src): Promise<[string, Uint8Array][]> => {
        try {
          return [[src, new Uint8Array((await this.files.content(src)).content)]];
        } catch (error) {
          this.logger.warn({ ...briefly(error), src }, 'a picture could not be put into a drawing');
          return [];
        }
      }),
    );
    return Object.fromEntries(found.flat());
  }
}
