import { Injectable } from '@nestjs/common';
import { Database } from '../common/database.js';
import type { Erasure, Keeper } from '../common/keeper.js';
import { Assignment } from './assignment.entity.js';
import { Collaborator } from './collaborator.entity.js';
import { Extension } from './extension.entity.js';

/** Assignments stay with the classes that have them. */
@Injectable()
export class AssignmentsKeeper implements Keeper {
  constructor(private readonly data: Database) {}

  async kept(accountId: string): Promise<Record<string, unknown>> {
    const assignments = await this.data.getRepository(Assignment).findBy({ ownerId: accountId });
    const extensions = await this.data.getRepository(Extension).findBy({ accountId });
    const shared = await this.data.getRepository(Collaborator).findBy({ accountId });
    return {
      assignments: assignments.map(({ title, createdAt }) => ({ title, begunAt: createdAt })),
      extensions: extensions.map(({ publicationId, due }) => ({ publication: publicationId, due })),
      sharedWithThem: shared.map(({ assignmentId }) => ({ assignment: assignmentId })),
    };
  }

  async erase({ accountId }: Erasure): Promise<void> {
    await this.data.manager.delete(Extension, { accountId });
    await this.data.manager.delete(Collaborator, { accountId });
  }
}
