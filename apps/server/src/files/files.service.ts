import { createHash } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import type { OnApplicationBootstrap } from '@nestjs/common';
import type { FileRow } from '@ichnograph/contract';
import { readSketch, sketchSvg, writeSketch } from '@ichnograph/core';
import { Database } from '../common/database.js';
import { Clock } from '../common/clock.js';
import { conflict, notFound, refused } from '../common/problem.js';
import { FileOwner } from './file-owner.entity.js';
import { Drawing } from './drawing.js';
import { examined } from './examined.js';
import type { Examined } from './examined.js';
import { Store } from './store.js';
import { StoredFile } from './stored-file.entity.js';

/** What one person may have brought in all, bytes. */
const MOST_OF_ONE = 500 * 2 ** 20;
const MOST_LISTED = 200;
/** Sketches are drawn at twice their size, so that they can be looked at larger. */
const SKETCH_DENSITY = 144;

const hashOf = (content: Buffer): string => createHash('sha256').update(content).digest('hex');

/** Files and pictures that people bring, judged by content, named by it, and handed out to whoever knows the name. */
@Injectable()
export class FilesService implements OnApplicationBootstrap {
  constructor(
    private readonly data: Database,
    private readonly store: Store,
    private readonly drawing: Drawing,
    private readonly clock: Clock,
  ) {}

  async onApplicationBootstrap(): Promise<void> {
    await this.store.begin((await this.data.getRepository(StoredFile).count()) === 0);
  }

  async bring(bytes: Buffer, name: string, accountId: string): Promise<FileRow> {
    await this.roomFor(bytes.length, accountId);
    return this.keep(await examined(bytes, (picture) => this.drawing.draw(picture, accountId)), name, accountId);
  }

  /** Keeps the strokes of a sketch and the picture they make. */
  async sketch(body: unknown, name: string, accountId: string): Promise<FileRow> {
    const sketch = readSketch(body);
    if (!sketch) throw refused('This is no sketch, or one with more strokes than a sketch may have.');
    const strokes = Buffer.from(JSON.stringify(writeSketch(sketch)));
    await this.roomFor(strokes.length, accountId);
    const drawn = await this.drawing.draw(Buffer.from(sketchSvg(sketch)), accountId, SKETCH_DENSITY);
    const sketchHash = hashOf(strokes);
    await this.store.keep(sketchHash, strokes);
    return this.keep(drawn, name, accountId, sketchHash);
  }

  private async roomFor(bytes: number, accountId: string): Promise<void> {
    const sum = await this.data
      .getRepository(FileOwner)
      .createQueryBuilder('owner')
      .innerJoin('owner.file', 'file')
      .where({ accountId })
      .select('SUM(file.bytes)', 'sum')
      .getRawOne<{ sum: string | null }>();
    if (Number(sum?.sum ?? 0) + bytes > MOST_OF_ONE)
      throw conflict('You have brought 500 MB of pictures and files, and that is as much as one person may.');
  }

  private async keep(
    { content, ...about }: Examined,
    name: string,
    accountId: string,
    sketchHash: string | null = null,
  ): Promise<FileRow> {
    const hash = hashOf(content);
    // The content first: a row never speaks of what is not there.
    await this.store.keep(hash, content);
    await this.data.unit(async () => {
      const file = { hash, ...about, bytes: content.length, sketchHash };
      await this.data.manager.createQueryBuilder().insert().into(StoredFile).values(file).orIgnore().execute();
      const owner = { hash, accountId, name: name.slice(0, 300), at: this.clock.now(), away: false };
      // Brought again, what was put away is chosen from again.
      const rows = this.data.manager.createQueryBuilder().insert().into(FileOwner).values(owner);
      await rows.orUpdate(['away'], ['hash', 'account_id']).execute();
    });
    return this.ownRow(hash, accountId);
  }

  private async ownRow(hash: string, accountId: string): Promise<FileRow> {
    const owner = await this.data
      .getRepository(FileOwner)
      .findOneOrFail({ where: { hash, accountId }, relations: { file: true } });
    return rowOf(owner);
  }

  /** What a person brought and has not put away, newest first. */
  async of(accountId: string): Promise<FileRow[]> {
    const rows = await this.data.getRepository(FileOwner).find({
      where: { accountId, away: false },
      relations: { file: true },
      order: { at: 'DESC' },
      take: MOST_LISTED,
    });
    return rows.map(rowOf);
  }

  /** Takes what a person brought out of what they choose from, or puts it back. Maps that show it keep it. */
  async putAway(hash: string, away: boolean, accountId: string): Promise<void> {
    const { affected } = await this.data.getRepository(FileOwner).update({ hash, accountId }, { away });
    if (!affected) throw notFound('file');
  }

  async content(hash: string): Promise<{ type: string; content: Buffer; isPicture: boolean }> {
    const file = await this.data.getRepository(StoredFile).findOneBy({ hash });
    if (!file) throw notFound('file');
    return { type: file.type, content: await this.store.read(hash), isPicture: file.width !== null };
  }

  async strokes(hash: string): Promise<unknown> {
    const file = await this.data.getRepository(StoredFile).findOneBy({ hash });
    if (!file?.sketchHash) throw notFound('sketch');
    return JSON.parse((await this.store.read(file.sketchHash)).toString('utf8'));
  }

  /**
   * Lets go of what a person brought. Content that nobody else brought and that nothing that stays names goes too.
   * @param isStillNamed whether something that stays names it
   */
  async forget(accountId: string, isStillNamed: (hash: string) => Promise<boolean>): Promise<string[]> {
    const owned = await this.data.manager.findBy(FileOwner, { accountId });
    await this.data.manager.delete(FileOwner, { accountId });
    const gone: string[] = [];
    for (const { hash } of owned) {
      if ((await this.data.manager.countBy(FileOwner, { hash })) > 0 || (await isStillNamed(hash))) continue;
      const file = await this.data.manager.findOneBy(StoredFile, { hash });
      await this.data.manager.delete(StoredFile, { hash });
      gone.push(hash, ...(file?.sketchHash ? [file.sketchHash] : []));
    }
    return gone;
  }

  /** The contents of what was let go, once that is committed. */
  async sweep(hashes: readonly string[]): Promise<void> {
    for (const hash of hashes) await this.store.forget(hash);
  }
}

const rowOf = ({ hash, name, at, file }: FileOwner): FileRow => ({
  src: hash,
  name,
  at: at.toISOString(),
  type: file!.type,
  bytes: file!.bytes,
  width: file!.width,
  height: file!.height,
  isSketch: file!.sketchHash !== null,
});
