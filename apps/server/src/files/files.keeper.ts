import { Injectable } from '@nestjs/common';
import { Database } from '../common/database.js';
import type { Keeper } from '../common/keeper.js';
import { FileOwner } from './file-owner.entity.js';

/** Who brought what. Letting go of it wants to know where else it is named: see `FilesService.forget`. */
@Injectable()
export class FilesKeeper implements Keeper {
  constructor(private readonly data: Database) {}

  async kept(accountId: string): Promise<Record<string, unknown>> {
    const rows = await this.data.getRepository(FileOwner).find({ where: { accountId }, relations: { file: true } });
    return {
      files: rows.map(({ hash, name, at, file }) => ({ name, at, type: file!.type, bytes: file!.bytes, src: hash })),
    };
  }

  erase(): Promise<void> {
    return Promise.resolve();
  }
}
