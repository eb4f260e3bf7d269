import { randomUUID } from 'node:crypto';
import { access, mkdir, open, readFile, rename, rm } from 'node:fs/promises';
import path from 'node:path';
import { Inject, Injectable } from '@nestjs/common';
import type { Logger } from 'pino';
import { briefly } from '../common/briefly.js';
import { Problem } from '../common/problem.js';
import { LOGGER, SETTINGS } from '../common/tokens.js';
import type { Settings } from '../settings.js';

const AWAY = new Problem(
  503,
  'Store away',
  'The place where pictures and files are kept cannot be reached just now. Maps and their words are safe; tell whoever looks after the server, and try again later.',
);
const LOST = new Problem(
  410,
  'Lost',
  'The content of this file is no longer where it was kept. The map still knows it; whoever brought it can bring it again.',
);
const MARK = 'these-are-the-files-of-ichnograph';

/**
 * A folder of files named by their content. It is made once, when a school begins: a folder that is gone later (a disk that
 * is not there) is said, never made anew in silence.
 */
@Injectable()
export class Store {
  constructor(
    @Inject(SETTINGS) private readonly settings: Settings,
    @Inject(LOGGER) private readonly logger: Logger,
  ) {}

  private get folder(): string {
    return this.settings.filesFolder;
  }
  private placeOf(hash: string): string {
    return path.join(this.folder, hash.slice(0, 2), hash);
  }

  /** @param isNew whether nothing was ever kept, so that a folder that is not there is no loss */
  async begin(isNew: boolean): Promise<void> {
    if (await this.isThere()) return;
    if (!isNew) {
      this.logger.error(
        { folder: this.folder },
        'the folder of pictures and files is gone; nothing is made in its place',
      );
      return;
    }
    await mkdir(this.folder, { recursive: true });
    await writeWhole(path.join(this.folder, MARK), Buffer.from(''));
  }

  private isThere(): Promise<boolean> {
    return access(path.join(this.folder, MARK)).then(
      () => true,
      () => false,
    );
  }

  /** Keeps content under its name; what is there already is the same. */
  async keep(hash: string, content: Buffer): Promise<void> {
    if (!(await this.isThere())) throw AWAY;
    const place = this.placeOf(hash);
    try {
      await mkdir(path.dirname(place), { recursive: true });
      await writeWhole(place, content);
    } catch (error) {
      this.logger.error(briefly(error), 'a file could not be stored');
      const isFull = (error as NodeJS.ErrnoException).code === 'ENOSPC';
      throw isFull
        ? new Problem(507, 'Disk full', 'The server has no room left for pictures and files. Nothing else is lost.')
        : AWAY;
    }
  }

  async read(hash: string): Promise<Buffer> {
    try {
      return await readFile(this.placeOf(hash));
    } catch {
      throw (await this.isThere()) ? LOST : AWAY;
    }
  }

  async forget(hash: string): Promise<void> {
    await rm(this.placeOf(hash), { force: true });
  }
}

/** All of it or nothing: written beside its place, put on the disk, then named. */
async function writeWhole(place: string, content: Buffer): Promise<void> {
  const draft = `${place}.${randomUUID()}`;
  try {
    const file = await open(draft, 'wx', 0o600);
    try {
      await file.writeFile(content);
      await file.sync();
    } finally {
      await file.close();
    }
    await rename(draft, place);
  } catch (error) {
    await rm(draft, { force: true });
    throw error;
  }
}
