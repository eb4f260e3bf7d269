import { Injectable } from '@nestjs/common';
import { Database } from '../common/database.js';
import type { Erasure, Keeper } from '../common/keeper.js';
import { ClassesService } from './classes.service.js';
import { Enrolment } from './enrolment.entity.js';

@Injectable()
export class ClassesKeeper implements Keeper {
  constructor(
    private readonly data: Database,
    private readonly classes: ClassesService,
  ) {}

  async kept(accountId: string): Promise<Record<string, unknown>> {
    const rows = await this.data
      .getRepository(Enrolment)
      .find({ where: { accountId }, relations: { schoolClass: true } });
    return { classes: rows.map(({ schoolClass, part }) => ({ name: schoolClass!.name, part })) };
  }

  async erase({ accountId }: Erasure): Promise<void> {
    await this.data.manager.delete(Enrolment, { accountId });
  }

  afterwards({ accountId }: Erasure): Promise<void> {
    this.classes.left(accountId);
    return Promise.resolve();
  }
}
